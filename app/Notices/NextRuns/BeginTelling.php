<?php

declare(strict_types=1);

namespace App\Notices\NextRuns;

use App\Models\Course;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Has those who wait for a course to run again written to, by the queue. */
final readonly class BeginTelling
{
    public function __construct(private ActivityLog $log)
    {
    }

    /** @return int how many wait */
    public function __invoke(Course $course, Person $author): int
    {
        $waiting = TellOfNextRun::waiting($course);
        if ($waiting > 0) {
            DB::transaction(function () use ($course, $author, $waiting): void {
                $this->log->note('next-run.told', $author, $course, after: ['people' => $waiting]);
                TellThem::dispatch($course->id)->afterCommit();
            });
        }

        return $waiting;
    }
}
