<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Drafts\GivenUp\KeepGivenUp;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Contracts\Events\Dispatcher;
use Illuminate\Support\Facades\DB;

/** Throws a draft away, with all its edits; what it came to is kept for a day. What is live stays as it is. */
final readonly class DiscardDraft
{
    public function __construct(private KeepGivenUp $keep, private ActivityLog $log, private Dispatcher $events)
    {
    }

    /**
     * @return ?int under which number it is kept for a day; null: it changed nothing
     *
     * @throws DraftConflict if the draft has changed since the editor saw it
     */
    public function __invoke(Course $course, int $version, Person $author): ?int
    {
        return DB::transaction(function () use ($course, $version, $author): ?int {
            $draft = SeenDraft::of($course, $version) ?? throw DraftConflict::nothingToDiscard();
            $this->log->note('draft.discarded', $author, $course, before: ['document' => $draft->document]);
            $kept = $this->keep->ofDraft($draft, $author);
            $draft->base_revision_id === null ? self::startOver($draft) : Course::endDraft($draft);
            $this->events->dispatch(new DraftDiscarded($course, $author));

            return $kept;
        });
    }

    /** A course that was never published is its draft: it is again as it was made. */
    private static function startOver(Draft $draft): void
    {
        $first = $draft->edits()->whereNull('undone_from')->first() ?? throw DraftConflict::nothingToDiscard();
        $draft->update(['document' => $first->before, 'version' => $draft->version + 1, 'publish_at' => null, 'publish_version' => null]);
        $draft->edits()->delete();
    }
}
