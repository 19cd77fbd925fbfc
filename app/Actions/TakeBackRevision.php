<?php

declare(strict_types=1);

namespace App\Actions;

use App\Keep\CourseDocument;
use App\Keep\Plans;
use App\Keep\Words\Differences;
use App\Keep\Words\Sentence;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Person;
use App\Models\Revision;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Makes the rules of an earlier revision live again, as a new revision. A draft keeps what it says, and has to be rehearsed anew. */
final readonly class TakeBackRevision
{
    public function __construct(private ClockInterface $clock, private Plans $plans, private Journal $journal)
    {
    }

    /**
     * @param  int  $live  number of the revision that is live as far as the editor saw
     * @return array{Revision, list<Sentence>} the new revision, and what it changes
     *
     * @throws DraftConflict if another one is live by now, or the two say the same
     */
    public function __invoke(Course $course, int $live, int $number, Person $author): array
    {
        return DB::transaction(function () use ($course, $live, $number, $author): array {
            $course->refresh();
            $now = $course->liveRevision;
            $earlier = Revision::query()->where('course_id', $course->id)->where('number', $number)->first();
            if ($now === null || $earlier === null || $now->number !== $live) {
                throw DraftConflict::publishedMeanwhile();
            }
            $before = CourseDocument::fromJson($now->document);
            $after = CourseDocument::fromJson($earlier->document);
            if ($before->equals($after)) {
                throw DraftConflict::nothingToPublish();
            }
            $this->plans->of($after);
            $changes = Differences::between($before, $after)->sentences;
            $revision = Revision::query()->create([
                'course_id' => $course->id,
                'number' => 1 + (int) Revision::query()->where('course_id', $course->id)->max('number'),
                'document' => $earlier->document,
                'author_id' => $author->id,
                'note' => "Back to revision {$earlier->number}",
                'published_at' => $this->clock->now(),
            ]);
            $this->journal->note('course.published', $author, $course,
                before: ['revision' => $now->number],
                after: ['revision' => $revision->number, 'changes' => array_map(strval(...), $changes)],
            );
            $course->liveRevision()->associate($revision);
            $course->save();
            Draft::query()->where('course_id', $course->id)->update(['base_revision_id' => $revision->id, 'rehearsed_version' => null]);

            return [$revision, $changes];
        });
    }
}
