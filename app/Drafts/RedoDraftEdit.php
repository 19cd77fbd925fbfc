<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Database\Value;
use App\Models\Course;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Brings back the edit that was undone last. */
final readonly class RedoDraftEdit
{
    public function __construct(private ActivityLog $log)
    {
    }

    /** @throws DraftConflict if the draft has changed since the editor saw it, or nothing is undone */
    public function __invoke(Course $course, int $version, Person $author): void
    {
        DB::transaction(function () use ($course, $version, $author): void {
            $draft = SeenDraft::of($course, $version);
            $undone = $draft?->firstUndone();
            if ($draft === null || $undone?->undone_from === null) {
                throw DraftConflict::nothingToRedo();
            }
            $draft->document = $undone->undone_from;
            $draft->version++;
            $draft->save();
            $undone->undone_from = null;
            $undone->save();
            $this->log->note('draft.redone', $author, $course, after: Value::object($undone->change));
        });
    }
}
