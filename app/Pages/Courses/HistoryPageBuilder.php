<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Access\SchoolClock;
use App\Drafts\DraftedContent;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Pages\Rehearsal\GivenUpRows;
use App\Words\Differences;
use App\Words\Sentence;
use SilentKeep\Core\Time\Instant;

/** The revisions of a course, and what each changed. */
final readonly class HistoryPageBuilder
{
    public function __construct(private CourseHeadBuilder $heads, private SchoolClock $clock, private GivenUpRows $givenUp)
    {
    }

    public function page(Course $course, bool $mayEdit): HistoryPage
    {
        $revisions = $course->revisions()->with('author')->orderByDesc('number')->get();
        $rows = [];
        foreach ($revisions as $index => $revision) {
            $before = $revisions[$index + 1] ?? null;
            $rows[] = new RevisionRow(
                $revision->number,
                $revision->id === $course->live_revision_id,
                $this->clock->words($revision->published_at->getTimestamp()),
                $revision->author?->name,
                $revision->note,
                [...Differences::between($before === null ? null : CourseDocument::fromJson($before->document), CourseDocument::fromJson($revision->document))->sentences, ...array_map(static fn (DraftedContent $content): Sentence => $content->sentence(), DraftedContent::with($revision))],
                Instant::format($revision->published_at->getTimestamp()),
            );
        }
        [$live, $draft] = $this->heads->documents($course);

        return new HistoryPage($this->heads->of($course, $live ?? $draft ?? throw new \LogicException('A course has a revision or a draft.')), $rows, $this->givenUp->of($course), $mayEdit);
    }
}
