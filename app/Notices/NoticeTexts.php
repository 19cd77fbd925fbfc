<?php

declare(strict_types=1);

namespace App\Notices;

use App\Models\Course;
use App\Models\NoticeText;

/** The school's own words at closed doors: those of the course, where it has some, before those of the school. */
final readonly class NoticeTexts
{
    public const SCHOOL = 'school';

    public static function scope(?Course $course): string
    {
        return $course === null ? self::SCHOOL : "course:{$course->id}";
    }

    /** Null where nothing of their own is said. */
    public function at(Course $course, NoticeCase $case): ?NoticeText
    {
        $texts = NoticeText::query()->whereIn('scope', [self::scope($course), self::SCHOOL])->where('case', $case->value)->get()->keyBy('scope');

        return $texts[self::scope($course)] ?? $texts[self::SCHOOL] ?? null;
    }

    /** @return array<array-key, NoticeText> by case, of this scope alone */
    public function of(?Course $course): array
    {
        return NoticeText::query()->where('scope', self::scope($course))->get()->keyBy('case')->all();
    }
}
