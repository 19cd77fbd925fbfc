<?php

declare(strict_types=1);

namespace App\People;

use App\Access\SchoolClock;
use App\Models\Pass;
use App\Words\Say;

/** Passes in words, by the school's clock. */
final readonly class PassWords
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /** active, later, paused, withdrawn or ended */
    public function standing(Pass $pass): string
    {
        $now = $this->clock->now();

        return match (true) {
            $pass->state === 'revoked' => 'withdrawn',
            $pass->ends_at !== null && $pass->ends_at->getTimestamp() <= $now => 'ended',
            $pass->state === 'paused' => 'paused',
            $pass->starts_at->getTimestamp() > $now => 'later',
            default => 'active',
        };
    }

    /** "Apprentice pass, to Sat 29 Aug"; of a trial to the minute */
    public function short(Pass $pass): string
    {
        // A trial is over within days: its hour counts.
        $day = fn (\DateTimeImmutable $instant): string => $pass->offer->trial ? $this->clock->words($instant->getTimestamp()) : $this->clock->date($instant->getTimestamp());
        $end = $pass->ends_at === null ? Say::text('people_told.pass_words.for_good') : Say::text('people_told.pass_words.to_day', ['day' => $day($pass->ends_at)]);

        return $pass->offer->name.', '.match ($this->standing($pass)) {
            'active' => $end,
            'later' => Say::text('people_told.pass_words.from_day', ['day' => $day($pass->starts_at)]),
            'ended' => Say::text('people_told.pass_words.ended_day', ['day' => $day($pass->ends_at ?? $pass->starts_at)]),
            'paused' => Say::text('people_told.pass_words.paused'),
            default => Say::text('people_told.pass_words.withdrawn'),
        };
    }

    /** "12 days left", "ended 3 days ago", "begins in 5 days"; null where there is nothing to count. */
    public function left(Pass $pass): ?string
    {
        $now = $this->clock->now();
        $days = function (int $from, int $until): string {
            [$seconds, $days] = [$until - $from, $this->clock->wholeDays($from, $until)];

            return match (true) {
                $days >= 2 => Say::text('people_told.pass_words.days_days', ['days' => $days]),
                $seconds < 7200 => Say::text('people_told.pass_words.left_minutes', ['left' => max(1, intdiv($seconds, 60))]),
                default => Say::text('people_told.pass_words.count_hours', ['count' => intdiv($seconds, 3600)]),
            };
        };
        $end = $pass->ends_at?->getTimestamp();

        return match ($this->standing($pass)) {
            'active', 'paused' => $end === null ? null : Say::text($pass->clock_stops ? 'people_told.pass_words.left_still' : 'people_told.pass_words.left', ['days' => $days($now, $end)]),
            'later' => Say::text('people_told.pass_words.begins_in_days', ['days' => $days($now, $pass->starts_at->getTimestamp())]),
            'ended' => $end === null ? null : Say::text('people_told.pass_words.ended_days_ago', ['days' => $days($end, $now)]),
            default => null,
        };
    }
}
