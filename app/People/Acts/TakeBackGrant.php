<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\SchoolClock;
use App\Models\Grant;
use App\Models\Person;
use Illuminate\Support\Collection;

/** Lets what was handed out to somebody end now. */
final readonly class TakeBackGrant implements PeopleAct
{
    public function __construct(private SchoolClock $clock, private int $grant)
    {
    }

    public function name(): string
    {
        return 'item.taken-back';
    }

    public function told(): string
    {
        return 'Take back what was handed out';
    }

    public function isHelp(): bool
    {
        return true;
    }

    public function canBeUndone(): bool
    {
        return true;
    }

    public function steps(Collection $people): array
    {
        $grants = Grant::query()->whereKey($this->grant)->whereIn('person_id', $people->pluck('id')->all())->get()->keyBy('person_id');
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());

        return array_values($people->map(static function (Person $person) use ($grants, $now): ActStep {
            $grant = $grants->get($person->id);
            $end = $grant?->getAttributes()['ends_at'] ?? null;
            if ($grant === null || (is_string($end) && $end <= $now)) {
                return new ActStep($person->id, 'do not have it any more');
            }

            return new ActStep($person->id, 'lose it now', [new RowChange('grants', $grant->id, ['ends_at' => is_string($end) ? $end : null], ['ends_at' => $now])], ['item' => $grant->item_key], [], $grant->course_id);
        })->all());
    }
}
