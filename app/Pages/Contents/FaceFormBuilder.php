<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use App\Database\Value;
use App\Front\Covers;
use App\Front\Drawing;
use App\Front\DrawnCover;
use App\Models\Course;
use App\Models\CourseFace;
use App\Words\Say;

/** Puts together the form of what a course shows of itself. */
final readonly class FaceFormBuilder
{
    public static function of(Course $course): FaceForm
    {
        $face = CourseFace::query()->find($course->id) ?? new CourseFace;
        $drawings = array_map(static fn (string $drawing): DrawingChoice => new DrawingChoice($drawing, $drawing === '' ? Say::text('pages.cover.by_key') : Say::text("pages.cover.drawing_{$drawing}"), Covers::address(DrawnCover::of($course->key, $drawing))), ['', ...array_column(Drawing::cases(), 'value')]);

        return new FaceForm(
            $face->sentence, $course->about, implode("\n", $face->outcomes),
            array_map(static fn (array $one): FaceQuestion => new FaceQuestion($one['ask'], $one['answer']), $face->questions),
            $course->subject, Value::texts(Course::query()->where('subject', '!=', '')->distinct()->orderBy('subject')->pluck('subject')),
            $face->cover, $face->focus_x, $face->focus_y, $face->drawing, $drawings,
            $face->contact_name ?? '', $face->contact_email ?? '', $face->version,
        );
    }
}
