<?php

declare(strict_types=1);

namespace App\People\Acts\Passes;

use App\Access\SchoolClock;
use App\Models\Pass;
use App\People\Acts\ActStep;
use App\People\Acts\PeopleAct;
use App\People\Acts\RowChange;
use App\People\PassRows;
use App\Words\Say;
use Illuminate\Support\Collection;

/** An act on a pass that somebody holds already. */
abstract readonly class PassAct implements PeopleAct
{
    public function __construct(protected PassRows $passes, protected SchoolClock $clock)
    {
    }

    public function isHelp(): bool
    {
        return false;
    }

    public function canBeUndone(): bool
    {
        return true;
    }

    public function steps(Collection $people): array
    {
        $passes = $this->passes->of($people);
        $steps = [];
        foreach ($people as $person) {
            $pass = $passes[$person->id] ?? null;
            $steps[] = $pass === null ? new ActStep($person->id, Say::text('acts.pass_act.hold_no_such_pass')) : $this->step($pass);
        }

        return $steps;
    }

    abstract protected function step(Pass $pass): ActStep;

    /**
     * @param  array<string, scalar|null>  $after  columns that change
     * @param  array<string, mixed>  $told  for the history
     */
    protected static function changed(Pass $pass, string $outcome, array $after, array $told = []): ActStep
    {
        $columns = $pass->getAttributes();
        $before = [];
        foreach (array_keys($after) as $column) {
            $value = $columns[$column] ?? null;
            $before[$column] = is_scalar($value) ? $value : null;
        }

        return new ActStep($pass->person_id, $outcome, [new RowChange('passes', $pass->id, $before, $after)], ['offer' => $pass->offer->key, ...$before], ['offer' => $pass->offer->key, ...$after, ...$told], $pass->course_id);
    }

    protected static function left(Pass $pass, string $outcome): ActStep
    {
        return new ActStep($pass->person_id, $outcome);
    }

    /** As the database has it. */
    protected static function stored(int $instant): string
    {
        return gmdate('Y-m-d H:i:s', $instant);
    }
}
