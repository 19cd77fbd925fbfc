<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use App\Models\Course;

/** What a lesson is to hold was drafted, or is not any more; told within the transaction. */
final readonly class ContentsDrafted
{
    public function __construct(public Course $course)
    {
    }
}
