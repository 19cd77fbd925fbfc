<?php

declare(strict_types=1);

namespace App\Pages\Changed;

use App\Access\SchoolClock;
use App\Models\Course;
use App\Models\Revision;

/** Between which instants it is asked: two times, or just before and after a revision went live. */
final readonly class ChangedAsked
{
    private const DAYS = 7;

    /** @param  ?Revision  $revision  whose publication alone is asked of */
    private function __construct(public int $from, public int $until, public ?Revision $revision, public bool $isWrong)
    {
    }

    /**
     * @param  string  $from  on the school's wall clock; empty: a week before
     * @param  string  $until  likewise; empty: now
     * @param  string  $revision  its number; empty: of none
     */
    public static function of(Course $course, SchoolClock $clock, string $from, string $until, string $revision): self
    {
        $asked = preg_match('/^\d{1,9}$/D', $revision) === 1 ? $course->revisions()->where('number', (int) $revision)->first() : null;
        if ($asked !== null) {
            $at = $asked->published_at->getTimestamp();

            return new self($at - 1, $at, $asked, isWrong: false);
        }
        $now = $clock->now();
        $end = $until === '' ? null : $clock->instant($until);
        $end ??= $now - $now % 60;
        $begin = $from === '' ? $clock->plusDays($end, -self::DAYS) : $clock->instant($from);

        return new self($begin ?? $end, min($end, $now), null, $begin === null || $begin >= min($end, $now) || ($until !== '' && $clock->instant($until) === null) || $revision !== '');
    }
}
