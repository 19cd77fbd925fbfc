<?php

declare(strict_types=1);

namespace App\School\Log;

use App\Models\Activity;
use App\Models\Course;
use App\Models\Person;
use Psr\Clock\ClockInterface;

/** Writes the activity log; to be called inside the transaction of what it tells of. */
final readonly class ActivityLog
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /**
     * @param  ?array<string, mixed>  $before
     * @param  ?array<string, mixed>  $after
     */
    public function note(string $action, ?Person $actor, ?Course $course = null, ?Person $person = null, ?array $before = null, ?array $after = null): void
    {
        Activity::query()->create([
            'actor_id' => $actor?->id,
            'course_id' => $course?->id,
            'person_id' => $person?->id,
            'action' => $action,
            'before' => $before,
            'after' => $after,
            'happened_at' => $this->clock->now(),
        ]);
    }
}
