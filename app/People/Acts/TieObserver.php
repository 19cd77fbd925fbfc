<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\SchoolClock;
use App\Models\ObserverTie;
use App\Models\Person;
use App\People\ObserverLetters;
use Illuminate\Support\Collection;

/** Ties an observer to learners, or unties them. What learners hold later is seen by their observers at once. */
final readonly class TieObserver implements PeopleAct
{
    public function __construct(private SchoolClock $clock, private ObserverLetters $letters, private Person $observer, private bool $ties)
    {
    }

    public function name(): string
    {
        return $this->ties ? 'observer.tied' : 'observer.untied';
    }

    public function told(): string
    {
        return $this->ties ? "Let {$this->observer->name} observe" : "Let {$this->observer->name} observe no longer";
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
        if ($people->contains('id', $this->observer->id)) {
            throw new CannotAct('Nobody observes themselves.', 'observer');
        }
        $ties = ObserverTie::query()->where('observer_id', $this->observer->id)->whereIn('learner_id', $people->pluck('id')->all())->get()->keyBy('learner_id');
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());

        // One letter for all of a group, with the first of them.
        $new = $this->ties ? $people->filter(static fn (Person $person): bool => ! $ties->has($person->id)) : new Collection;
        $letter = $new->isEmpty() ? null : $this->letters->to($this->observer, $new);

        return array_values($people->map(function (Person $person) use ($ties, $now, $new, $letter): ActStep {
            $tie = $ties->get($person->id);
            $columns = ['observer_id' => $this->observer->id, 'learner_id' => $person->id, 'created_at' => $now, 'updated_at' => $now];
            if ($this->ties) {
                return $tie !== null ? new ActStep($person->id, 'are observed by them already') : new ActStep($person->id, 'are observed by them from now on', [RowChange::made('observer_ties', $columns)], [], ['observer' => $this->observer->name], letter: $new->first()?->id === $person->id ? $letter : null);
            }

            return $tie === null ? new ActStep($person->id, 'are not observed by them') : new ActStep($person->id, 'are not observed by them any more', [new RowChange('observer_ties', $tie->id, $columns, null)], ['observer' => $this->observer->name]);
        })->all());
    }
}
