<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Drafts\Edits\Edit;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Draft;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Makes a course that is not published yet: from nothing, or with the outline and rules of another. */
final readonly class MakeCourse
{
    public function __construct(private ActivityLog $log)
    {
    }

    /**
     * Offers are not taken over: a pass of one course is none of another.
     *
     * @param  ?Edit  $edit  made at once in what is taken over
     *
     * @throws Edits\CannotEdit
     */
    public function __invoke(string $title, ?Course $like, Person $author, ?Edit $edit = null): Course
    {
        return DB::transaction(function () use ($title, $like, $author, $edit): Course {
            $key = $this->freeKey($title);
            $course = Course::query()->create(['key' => $key]);
            $pattern = $like === null ? null : $like->draft->document ?? $like->liveRevision?->document;
            // Invitations only, so that nothing is open by mistake; one release plan, so that openings can be set at once.
            $document = $pattern === null ? CourseDocument::begun($key, $title) : CourseDocument::fromJson($pattern)->withoutOffers();
            $document->edit()->set('key', $key);
            $document->edit()->set('title', $title);
            $edit?->applyTo($document);
            Draft::query()->create(['course_id' => $course->id, 'base_revision_id' => null, 'document' => $document->toJson(), 'version' => 1]);
            $this->log->note('course.made', $author, $course, after: ['title' => $title, 'like' => $like?->key]);

            return $course;
        });
    }

    private function freeKey(string $title): string
    {
        $stem = Str::limit(Str::slug($title), 40, '') ?: 'course';
        for ($n = 1, $key = $stem; Course::foundAt($key) !== null; $n++) {
            $key = $stem.'-'.($n + 1);
        }

        return $key;
    }
}
