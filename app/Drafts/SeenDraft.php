<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Models\Course;
use App\Models\Draft;

/** The draft that an editor has before them. */
final class SeenDraft
{
    /**
     * Null where there is none (any more).
     *
     * @throws DraftConflict if somebody has changed it since the version that the editor saw
     */
    public static function of(Course $course, int $version): ?Draft
    {
        $draft = Draft::query()->where('course_id', $course->id)->first();
        if ($draft !== null && $draft->version !== $version) {
            throw DraftConflict::changedMeanwhile();
        }

        return $draft;
    }
}
