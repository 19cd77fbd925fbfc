<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Database\Value;
use App\Models\Course;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Takes the draft back to before its last edit, which a redo can bring back until the next edit. */
final readonly class UndoDraftEdit
{
    public function __construct(private ActivityLog $log)
    {
    }

    /** @throws DraftConflict if the draft has changed since the editor saw it, or holds no edit */
    public function __invoke(Course $course, int $version, Person $author): void
    {
        DB::transaction(function () use ($course, $version, $author): void {
            $draft = SeenDraft::of($course, $version);
            $last = $draft?->lastMade();
            if ($draft === null || $last === null) {
                throw DraftConflict::nothingToUndo();
            }
            $last->undone_from = $draft->document;
            $last->save();
            $draft->document = $last->before;
            $draft->version++;
            $draft->save();
            $this->log->note('draft.undone', $author, $course, before: Value::object($last->change));
        });
    }
}
