<?php

declare(strict_types=1);

namespace App\People;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Models\Person;
use Illuminate\Database\Eloquent\Builder;

/** Asks for the people whom a filter lets through, at the present instant. */
final readonly class PeopleQuery
{
    public function __construct(private SchoolClock $clock, private CourseShelf $shelf)
    {
    }

    /** @return Builder<Person> */
    public function __invoke(PeopleFilter $filter): Builder
    {
        $course = $filter->course === null ? null : $this->shelf->byKey($filter->course);

        return $filter->query($this->clock->now(), $course === null ? [] : $this->shelf->lessons($course->id));
    }
}
