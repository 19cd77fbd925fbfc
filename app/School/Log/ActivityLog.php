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

    /**
     * The same of several at once, in one statement.
     *
     * @param  list<array{course: int, person: int, after: array<string, mixed>}>  $lines
     */
    public function noteEach(string $action, Person $actor, array $lines): void
    {
        $now = gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp());
        Activity::query()->insert(array_map(static fn (array $line): array => [
            'actor_id' => $actor->id, 'course_id' => $line['course'], 'person_id' => $line['person'], 'action' => $action,
            'after' => json_encode($line['after'], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), 'happened_at' => $now,
        ], $lines));
    }
}
