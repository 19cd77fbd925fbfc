<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\SchoolClock;
use App\Models\ListContact;
use App\Models\Person;
use App\Words\Say;
use Illuminate\Support\Collection;

/** Puts people on the mailing list under a label. Whose address is not shown to be theirs is not put there. */
final readonly class JoinList implements PeopleAct
{
    /** @param  string  $source  what adds them */
    public function __construct(private SchoolClock $clock, private string $label, private string $source)
    {
    }

    public function name(): string
    {
        return 'list.joined';
    }

    public function told(): string
    {
        return Say::text('acts.join_list.told', ['label' => $this->label]);
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
        $there = ListContact::query()->where('label', $this->label)->whereIn('person_id', $people->pluck('id')->all())->pluck('person_id')->flip();
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());

        return array_values($people->map(fn (Person $person): ActStep => match (true) {
            $there->has($person->id) => new ActStep($person->id, Say::text('acts.join_list.are_there')),
            ! $person->isConfirmed() => new ActStep($person->id, Say::text('acts.join_list.not_confirmed')),
            default => new ActStep($person->id, Say::text('acts.join_list.join'), [RowChange::made('list_contacts', ['person_id' => $person->id, 'label' => $this->label, 'source' => $this->source, 'added_at' => $now])], [], ['label' => $this->label]),
        })->all());
    }
}
