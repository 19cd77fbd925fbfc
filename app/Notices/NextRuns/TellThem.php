<?php

declare(strict_types=1);

namespace App\Notices\NextRuns;

use App\Models\Course;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Writes to some of those who wait for a course to run again, and goes on with the others. */
final class TellThem implements ShouldQueue
{
    use Queueable;

    public int $tries = 50;

    public int $maxExceptions = 3;

    public function __construct(private readonly int $courseId)
    {
    }

    public function handle(TellOfNextRun $tell): void
    {
        $course = Course::query()->with('liveRevision')->find($this->courseId);
        if ($course !== null && $tell->some($course)) {
            self::dispatch($this->courseId);
        }
    }
}
