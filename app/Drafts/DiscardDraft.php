<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Models\Course;
use App\Models\Draft;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Contracts\Events\Dispatcher;
use Illuminate\Support\Facades\DB;

/** Throws a draft away, with all its edits. What is live stays as it is. */
final readonly class DiscardDraft
{
    public function __construct(private ActivityLog $log, private Dispatcher $events)
    {
    }

    /** @throws DraftConflict if the draft has changed since the editor saw it */
    public function __invoke(Course $course, int $version, Person $author): void
    {
        DB::transaction(function () use ($course, $version, $author): void {
            $draft = SeenDraft::of($course, $version) ?? throw DraftConflict::nothingToDiscard();
            $this->log->note('draft.discarded', $author, $course, before: ['document' => $draft->document]);
            Course::endDraft($draft);
            $this->events->dispatch(new DraftDiscarded($course, $author));
        });
    }
}
