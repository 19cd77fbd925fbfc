<?php

declare(strict_types=1);

namespace App\Drafts\Retiring;

use App\Drafts\DraftConflict;
use App\Drafts\EditDraft;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Person;
use App\Models\Retirement;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Puts the end of a course in its draft, to be rehearsed and published; and sets what stands at its end once it is over. */
final readonly class PlanRetirement
{
    public function __construct(private EditDraft $edit, private ActivityLog $log)
    {
    }

    /**
     * In the draft: nothing happens before it is published.
     *
     * @param  int  $version  of the draft that was seen; 0 where there was none
     * @param  string  $subject  by which courses are told of together; set at once
     *
     * @throws \App\Drafts\DraftCollision
     * @throws DraftConflict
     */
    public function __invoke(Course $course, int $version, RetireCourse $edit, Retirement $with, Person $author, string $subject): void
    {
        $within = static function () use ($course, $with, $subject): void {
            self::refuseTaken($course, $with);
            Course::query()->whereKey($course->id)->update(['retirement' => $with->toJson(), 'subject' => $subject]);
        };
        $made = ($this->edit)($course, $version, $edit, $author, $within);
        if ($made->draft->exists && Course::query()->whereKey($course->id)->value('retirement') !== $with->toJson()) {
            // The rules say so already: what goes with them may be another all the same, where nobody else has planned it since.
            if ($made->draft->version !== $version) {
                throw DraftConflict::changedMeanwhile();
            }
            DB::transaction($within);
        }
    }

    /**
     * Of a course that is retired: at once.
     *
     * @throws DraftConflict if another course is found at its address, or it is not retired
     */
    public function set(Course $course, Retirement $with, Person $author, string $subject): void
    {
        DB::transaction(function () use ($course, $with, $author, $subject): void {
            $live = Course::query()->with('liveRevision')->findOrFail($course->id)->liveRevision?->document;
            if ($live === null || CourseDocument::fromJson($live)->read()->state() !== 'retired') {
                throw DraftConflict::publishedMeanwhile();
            }
            self::refuseTaken($course, $with);
            $course->update([...$with->columns(), 'subject' => $subject]);
            $this->log->note('course.closing', $author, $course, after: $with->columns());
        });
    }

    /** @throws DraftConflict if another course is found at its address */
    public static function refuseTaken(Course $course, Retirement $with): void
    {
        if ($with->address !== null && ! $course->mayHaveAddress($with->address)) {
            throw DraftConflict::addressTaken($with->address);
        }
    }
}
