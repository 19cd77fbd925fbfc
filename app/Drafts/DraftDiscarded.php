<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Models\Course;
use App\Models\Person;

/** The draft of a course was thrown away; told within the transaction, so that what belongs to it goes with it. */
final readonly class DraftDiscarded
{
    public function __construct(public Course $course, public Person $author)
    {
    }
}
