<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Models\Person;
use OpenApi\Attributes as OA;

/** All whom a publication touches in one way, on one item or in all. */
#[OA\Schema]
final readonly class TouchedPeople
{
    /**
     * @param  int  $count  how many there are
     * @param  list<TouchedPerson>  $people  by name; of very many not all are kept
     */
    private function __construct(#[OA\Property] public int $count, #[OA\Property(items: new OA\Items(ref: TouchedPerson::class))] public array $people)
    {
    }

    /** @param  ?string  $item  key; null: in all */
    public static function of(RehearsalTally $tally, string $effect, ?string $item): self
    {
        [$count, $ids] = ($item === null ? $tally->touched : $tally->items[$item] ?? [])[$effect] ?? [0, []];
        $known = [];
        foreach (array_chunk(array_values(array_unique(array_map(intval(...), $ids === [] ? [] : explode(' ', implode(' ', $ids))))), 1000) as $some) {
            foreach (Person::query()->whereIntegerInRaw('id', $some)->get(['id', 'name', 'email']) as $person) {
                $known[$person->id] = $person;
            }
        }
        $people = [];
        foreach ($ids as $id) {
            $pair = array_map(intval(...), explode(' ', $id));
            $person = $known[$pair[0]] ?? null;
            if ($person !== null) {
                $people[] = new TouchedPerson($person->id, $person->name, $person->address(), isset($pair[1]) ? $known[$pair[1]]->name ?? '' : null);
            }
        }
        usort($people, static fn (TouchedPerson $one, TouchedPerson $other): int => strcoll($one->name, $other->name) ?: $one->id <=> $other->id);

        return new self($count, $people);
    }
}
