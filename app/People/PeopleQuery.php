<?php

declare(strict_types=1);

namespace App\People;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Database\Value;
use App\Models\Person;
use Illuminate\Database\Eloquent\Builder;

/** Asks for the people whom a filter lets through, at the present instant. */
final readonly class PeopleQuery
{
    /** So many are sorted once they are found. */
    private const FEW = 2_000;

    /**
     * @param  int  $many  of so many people those whose passes end first are found one after another; of fewer all are sorted
     * @param  int  $near  no further from the beginning than this: there, too, all are sorted
     */
    public function __construct(private SchoolClock $clock, private CourseShelf $shelf, private int $many = 50_000, private int $near = 5_000)
    {
    }

    /** @return Builder<Person> */
    public function __invoke(PeopleFilter $filter): Builder
    {
        return $filter->query($this->clock->now(), $this->lessons($filter));
    }

    /** @return Builder<Person> in no order */
    public function unsorted(PeopleFilter $filter): Builder
    {
        return $filter->unsorted($this->clock->now(), $this->lessons($filter));
    }

    /**
     * A page of them. Of few, all are found, and those are sorted; of many as many as stand on the page are found in their order.
     *
     * @param  int  $page  from 1; beyond the last it is the last
     */
    public function page(PeopleFilter $filter, int $page, int $size): FoundPage
    {
        $few = Value::ints($this->unsorted($filter)->toBase()->select('people.id')->limit(self::FEW + 1)->pluck('id'));
        $isFew = count($few) <= self::FEW;
        $total = $isFew ? count($few) : $this->unsorted($filter)->toBase()->count();
        $pages = max(1, intdiv($total + $size - 1, $size));
        $page = max(1, min($page, $pages));
        $ids = $isFew
            ? Value::ints($filter->sorted(Person::query()->whereIntegerInRaw('people.id', $few), $this->clock->now())->toBase()->select('people.id')->forPage($page, $size)->pluck('id'))
            : $this->some($filter, ($page - 1) * $size, $size, $total);

        return new FoundPage($ids, $total, $page, $pages);
    }

    /**
     * Some of them in their order: numbers alone, so that of the others nothing else is read.
     *
     * @param  int  $from  from 0
     * @param  int  $of  how many there are
     * @return list<int> ids
     */
    public function some(PeopleFilter $filter, int $from, int $count, int $of): array
    {
        $ids = static fn (Builder $query, int $skip, int $take): array => Value::ints($query->toBase()->select('people.id')->offset($skip)->limit($take)->pluck('id'));
        if ($filter->sort !== 'ends' || $of < $this->many || $from > $this->near) {
            return $ids($this($filter), $from, $count);
        }
        [$now, $lessons] = [$this->clock->now(), $this->lessons($filter)];
        $ending = $filter->ending($now, $lessons);
        $found = $ids(clone $ending, $from, $count);
        if (count($found) === $count) {
            return $found;
        }
        // Before the others stand all for whom something ends: here they are few.
        $skip = $found !== [] ? 0 : $from - $ending->reorder()->toBase()->count();

        return [...$found, ...$ids($filter->notEnding($now, $lessons), $skip, $count - count($found))];
    }

    /** @return list<string> whose progress counts */
    private function lessons(PeopleFilter $filter): array
    {
        $course = $filter->course === null ? null : $this->shelf->byKey($filter->course);

        return $course === null ? [] : $this->shelf->lessons($course->id);
    }
}
