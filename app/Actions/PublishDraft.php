<?php

declare(strict_types=1);

namespace App\Actions;

use App\Keep\CourseDocument;
use App\Keep\Plans;
use App\Keep\Rehearsal;
use App\Keep\Words\Differences;
use App\Keep\Words\Sentence;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Person;
use App\Models\Revision;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Makes the draft live, as a new revision, in one step. */
final readonly class PublishDraft
{
    public function __construct(private ClockInterface $clock, private Plans $plans, private Rehearsal $rehearsal, private Journal $journal)
    {
    }

    /**
     * @param  int  $version  of the draft that the editor saw
     * @return array{Revision, list<Sentence>} the revision, and what it changes
     *
     * @throws DraftConflict if the draft is another one by now, says nothing new, or takes something away from
     *                       people and its rehearsal was not shown
     */
    public function __invoke(Course $course, int $version, ?string $note, Person $author): array
    {
        return DB::transaction(function () use ($course, $version, $note, $author): array {
            $draft = SeenDraft::of($course, $version) ?? throw DraftConflict::nothingToPublish();
            $course->refresh();
            if ($draft->base_revision_id !== $course->live_revision_id) {
                throw DraftConflict::publishedMeanwhile();
            }
            $live = $course->liveRevision === null ? null : CourseDocument::fromJson($course->liveRevision->document);
            $document = CourseDocument::fromJson($draft->document);
            if ($live !== null && $live->equals($document)) {
                throw DraftConflict::nothingToPublish();
            }
            $this->plans->of($document);
            if ($live !== null && $draft->rehearsed_version !== $draft->version) {
                $this->refuseUnseenLosses($course, $live, $document);
            }
            $changes = Differences::between($live, $document)->sentences;
            $revision = Revision::query()->create([
                'course_id' => $course->id,
                'number' => 1 + (int) Revision::query()->where('course_id', $course->id)->max('number'),
                'document' => $document->toJson(),
                'author_id' => $author->id,
                'note' => $note,
                'published_at' => $this->clock->now(),
            ]);
            $this->journal->note('course.published', $author, $course,
                before: ['revision' => $course->liveRevision?->number],
                after: ['revision' => $revision->number, 'changes' => array_map(strval(...), $changes)],
            );
            $course->liveRevision()->associate($revision);
            $course->save();
            $draft->end();

            return [$revision, $changes];
        });
    }

    private function refuseUnseenLosses(Course $course, CourseDocument $live, CourseDocument $document): void
    {
        $losers = $this->rehearsal->losers($course, $live, $document, $this->clock->now()->getTimestamp());
        if ($losers > 0) {
            throw DraftConflict::rehearseFirst($losers);
        }
    }
}
