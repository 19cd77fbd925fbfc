<?php

declare(strict_types=1);

namespace App\Checks;

use App\Models\AcceptedFinding;
use App\Models\Course;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use SilentKeep\Core\Checks\Finding;

/** Says that what was found is meant so, and why; or takes that back. */
final readonly class AcceptFinding
{
    public function __construct(private ClockInterface $clock, private ActivityLog $log)
    {
    }

    public function __invoke(Course $course, Finding $finding, string $reason, Person $author): void
    {
        $subject = CourseFindings::digest($finding);
        DB::transaction(function () use ($course, $finding, $subject, $reason, $author): void {
            $kept = AcceptedFinding::query()->where('course_id', $course->id)->where('subject', $subject)->first();
            if ($kept?->cause === $finding->cause && $kept->reason === $reason) {
                return;
            }
            AcceptedFinding::query()->updateOrCreate(['course_id' => $course->id, 'subject' => $subject], ['cause' => $finding->cause, 'reason' => $reason, 'person_id' => $author->id, 'accepted_at' => $this->clock->now()]);
            $this->log->note('finding.accepted', $author, $course, after: ['check' => $finding->kind->value, 'items' => $finding->items, 'offers' => $finding->offers, 'reason' => $reason]);
        });
    }

    public function takeBack(Course $course, string $subject, Person $author): void
    {
        DB::transaction(function () use ($course, $subject, $author): void {
            $kept = AcceptedFinding::query()->where('course_id', $course->id)->where('subject', $subject)->first();
            if ($kept !== null) {
                $this->log->note('finding.not-accepted', $author, $course, before: ['reason' => $kept->reason]);
                $kept->delete();
            }
        });
    }
}
