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
        return $this->stands($pass->state, $pass->starts_at->getTimestamp(), $pass->ends_at?->getTimestamp());
    }

    /** "Apprentice pass, to Sat 29 Aug"; of a trial to the minute */
    public function short(Pass $pass): string
    {
        return $this->told($pass->offer->name, $pass->offer->trial, $pass->state, $pass->starts_at->getTimestamp(), $pass->ends_at?->getTimestamp());
    }

    /**
     * The same of a pass that is no model: for lists of very many.
     *
     * @param  string  $offer  its name
     * @param  int  $starts  instant
     * @param  ?int  $ends  null: never
     */
    public function told(string $offer, bool $isTrial, string $state, int $starts, ?int $ends): string
    {
        // A trial is over within days: its hour counts.
        $day = fn (int $instant): string => $isTrial ? $this->clock->words($instant) : $this->clock->date($instant);

        return $offer.', '.match ($this->stands($state, $starts, $ends)) {
            'active' => $ends === null ? Say::text('people_told.pass_words.for_good') : Say::text('people_told.pass_words.to_day', ['day' => $day($ends)]),
            'later' => Say::text('people_told.pass_words.from_day', ['day' => $day($starts)]),
            'ended' => Say::text('people_told.pass_words.ended_day', ['day' => $day($ends ?? $starts)]),
            'paused' => Say::text('people_told.pass_words.paused'),
            default => Say::text('people_told.pass_words.withdrawn'),
        };
    }

    private function stands(string $state, int $starts, ?int $ends): string
    {
        $now = $this->clock->now();

        return match (true) {
            $state === 'revoked' => 'withdrawn',
            $ends !== null && $ends <= $now => 'ended',
            $state === 'paused' => 'paused',
            $starts > $now => 'later',
            default => 'active',
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
