<?php

declare(strict_types=1);

namespace App\Learning;

use App\Models\Completion;
use App\Models\Course;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Records that somebody has finished an item. Whether they may is for the caller to have asked the core. */
final readonly class MarkFinished
{
    public function __construct(private ClockInterface $clock, private ActivityLog $log)
    {
    }

    /** Doing it twice keeps the first instant. */
    public function __invoke(Person $person, Course $course, string $itemKey): void
    {
        // Most who come back have finished already: they need not wait for whoever writes.
        if (Completion::query()->where('person_id', $person->id)->where('course_id', $course->id)->where('item_key', $itemKey)->exists()) {
            return;
        }
        DB::transaction(function () use ($person, $course, $itemKey): void {
            $completion = Completion::query()->firstOrCreate(
                ['person_id' => $person->id, 'course_id' => $course->id, 'item_key' => $itemKey],
                ['completed_at' => $this->clock->now()],
            );
            if ($completion->wasRecentlyCreated) {
                $this->log->note('item.finished', $person, $course, $person, after: ['item' => $itemKey]);
            }
        });
    }
}
