<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Person;
use Illuminate\Database\Eloquent\Builder;

/** The people that something is to be done to. */
final readonly class ChosenPeople
{
    /** @param  Builder<Person>  $query */
    private function __construct(private Builder $query)
    {
    }

    /** @param  list<int>  $ids */
    public static function named(array $ids): self
    {
        return new self(Person::query()->whereIntegerInRaw('people.id', $ids));
    }

    /** All that a filter lets through. */
    public static function filtered(PeopleQuery $query, PeopleFilter $filter): self
    {
        return new self($query->unsorted($filter));
    }

    public function count(): int
    {
        return (clone $this->query)->toBase()->count();
    }

    /** @return list<int> in the order in which they are gone through */
    public function ids(): array
    {
        return array_values((clone $this->query)->orderBy('people.id')->toBase()->pluck('people.id')->map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0)->all());
    }
}
