<?php

declare(strict_types=1);

namespace App\Pages\Api\Courses;

use App\Access\Plans;
use App\Access\Shelf\CourseShelf;
use App\Drafts\DraftedContent;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Person;
use App\Models\Revision;
use App\Publishing\Proposal;
use App\Publishing\Rehearsal;
use App\Publishing\RehearsalRuns;
use App\Publishing\Rehearsing;
use App\Publishing\Seen\Receipt;
use App\Words\Differences;
use SilentKeep\Core\Time\Instant;

/** Puts together what systems of others are told of courses. */
final readonly class CoursesBuilder
{
    public function __construct(private Plans $plans, private CourseShelf $shelf, private Rehearsal $rehearsal, private Rehearsing $rehearsing)
    {
    }

    public function course(Course $course): CourseTold
    {
        $live = $course->liveRevision;
        if ($live === null) {
            $document = CourseDocument::fromJson($course->draft->document ?? throw new \LogicException('A course has a revision or a draft.'));

            return new CourseTold($course->key, $document->title(), 'draft', null, null, has_draft: true);
        }

        return new CourseTold($course->key, $this->shelf->title($course->id), $this->shelf->state($course->id), $live->number, Instant::format($live->published_at->getTimestamp()), $course->draft !== null);
    }

    /**
     * @param  int  $after  id
     * @return list<Course> one more than the size, where there are more
     */
    public function some(int $after, int $size): array
    {
        return array_values(Course::query()->with(['liveRevision:id,number,published_at', 'draft'])->where('id', '>', $after)->orderBy('id')->limit($size + 1)->get()->all());
    }

    public static function revision(Revision $revision): RevisionTold
    {
        return new RevisionTold($revision->number, Instant::format($revision->published_at->getTimestamp()), $revision->author?->name, $revision->note);
    }

    /**
     * @param  int  $after  number
     * @return list<Revision> one more than the size, where there are more
     */
    public static function revisions(Course $course, int $after, int $size): array
    {
        return array_values($course->revisions()->with('author')->where('number', '>', $after)->orderBy('number')->limit($size + 1)->get()->all());
    }

    public function draft(Course $course): DraftTold
    {
        $draft = $course->draft;
        $live = $course->liveRevision;
        $named = fn (string $document): CourseDocument => $this->plans->named(CourseDocument::fromJson($document));
        $changes = $draft === null ? [] : Differences::between($live === null ? null : $named($live->document), $named($draft->document))->sentences;
        $contents = $draft === null ? [] : DraftedContent::of($course, CourseDocument::fromJson($draft->document));

        return new DraftTold($course->key, $draft->version ?? 0, [...array_map(strval(...), $changes), ...array_map(static fn (DraftedContent $content): string => (string) $content->sentence(), $contents)], $draft?->publish_at === null ? null : Instant::format($draft->publish_at->getTimestamp()));
    }

    /**
     * Null where nothing waits to be published. What takes longer than a moment is left to the queue: ask again.
     *
     * @param  ?int  $setFor  instant for which a publication may be set; null: at once
     */
    public function rehearsal(Course $course, ?int $setFor, Person $reader): ?RehearsalTold
    {
        $draft = $course->draft;
        $proposal = $draft === null ? null : Proposal::draft($course, $draft);
        if ($draft === null || $proposal === null || $proposal->saysNothingNew()) {
            return null;
        }
        $run = $this->rehearsing->look($proposal, $setFor);
        if ($run->finished_at === null) {
            $run = $this->rehearsing->begin($proposal, $setFor);
        }
        $at = $run->instant->getTimestamp();
        $finished = $run->finished_at !== null;
        $told = $finished ? $this->rehearsal->tell($proposal, $at, RehearsalRuns::countOf($run)) : null;

        return new RehearsalTold($course->key, $draft->version, $finished, $run->looked, $run->of, Instant::format($at), $told->losers ?? 0, $told->totals ?? [], $told->rows ?? [], $finished ? Receipt::of($proposal, $setFor, $run->made_at->getTimestamp(), $reader) : null);
    }
}
