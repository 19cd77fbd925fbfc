<?php

declare(strict_types=1);

namespace App\Counting;

use App\Models\Course;
use App\Models\PeopleCount;

/** Something that is counted on the holders of a course's passes. */
interface CountsPeople
{
    /**
     * @param  PeopleCount  $count  with what has been counted so far
     * @param  list<int>  $people  the next of them, by id
     * @return ?array<array-key, mixed> what is counted with them; null: what it depends on has changed
     */
    public function look(PeopleCount $count, Course $course, array $people): ?array;
}
