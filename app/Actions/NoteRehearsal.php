<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Draft;

/** Remembers that a draft's rehearsal, as it stands, has been shown to somebody who may publish it. */
final readonly class NoteRehearsal
{
    public function __invoke(Course $course, int $version): void
    {
        Draft::query()->where('course_id', $course->id)->where('version', $version)->update(['rehearsed_version' => $version]);
    }
}
