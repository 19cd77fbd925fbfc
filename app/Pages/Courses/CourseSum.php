<?php

declare(strict_types=1);

namespace App\Pages\Courses;

/** What the list of courses says of the rules of one, published and waiting. */
final readonly class CourseSum
{
    /**
     * @param  string  $state  draft, live or retired
     * @param  string  $entry  in words
     * @param  int  $changes  how many wait in the draft
     */
    public function __construct(public string $title, public string $state, public string $entry, public int $lessons, public int $changes)
    {
    }
}
