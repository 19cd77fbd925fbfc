<?php

declare(strict_types=1);

namespace App\Front;

use App\Models\Course;
use App\Models\CourseFace;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Changes what a course shows of itself. It holds at once. */
final readonly class SaveFace
{
    public function __construct(private ActivityLog $log)
    {
    }

    /**
     * @param  array{about: string, subject: string}  $of  of the course itself
     * @param  array<string, mixed>  $face  columns
     * @param  int  $seen  the version that the author saw; 0: there was none
     * @return bool false where somebody else was there meanwhile, and nothing was changed
     */
    public function __invoke(Course $course, array $of, array $face, int $seen, Person $author): bool
    {
        return DB::transaction(function () use ($course, $of, $face, $seen, $author): bool {
            $kept = CourseFace::query()->find($course->id);
            if (($kept->version ?? 0) !== $seen) {
                return false;
            }
            $before = [...$course->refresh()->only(['about', 'subject']), ...array_intersect_key($kept?->attributesToArray() ?? [], $face)];
            $course->update($of);
            ($kept ?? new CourseFace(['course_id' => $course->id]))->fill([...$face, 'version' => $seen + 1])->save();
            $this->log->note('course.face-changed', $author, $course, before: $before, after: [...$of, ...$face]);

            return true;
        });
    }
}
