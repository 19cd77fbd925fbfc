<?php

declare(strict_types=1);

namespace App\Publishing\Events;

use App\Models\Course;
use App\Models\Person;

/** The draft of a course has gone live; told within the transaction, so that what belongs to it goes live with it, or not at all. */
final readonly class DraftPublished
{
    /** @param  ?Person  $author  null: the program itself, at the time that was set */
    public function __construct(public Course $course, public ?Person $author)
    {
    }
}
