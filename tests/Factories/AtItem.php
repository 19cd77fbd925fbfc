<?php

declare(strict_types=1);

namespace Tests\Factories;

use App\Models\Course;

/** For what stands at one item of a course. */
trait AtItem
{
    public function at(Course $course, string $item): static
    {
        return $this->state(['course_id' => $course->id, 'item_key' => $item]);
    }
}
