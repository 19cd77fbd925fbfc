<?php

declare(strict_types=1);

namespace App\Publishing\Events;

use App\Models\Course;
use App\Models\Person;

/** What lessons held before an earlier revision of the course was replaced comes back with it; told within the transaction. */
final readonly class ContentsTakenBack
{
    /** @param  list<array{string, int}>  $items  the keys, each with the version of its contents that comes back; 0: it held nothing */
    public function __construct(public Course $course, public array $items, public ?Person $author)
    {
    }
}
