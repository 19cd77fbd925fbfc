<?php

declare(strict_types=1);

namespace App\People;

use App\Access\SchoolClock;
use App\Models\Pass;

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

    /** "Apprentice pass, to Sat 29 Aug" */
    public function short(Pass $pass): string
    {
        $end = $pass->ends_at === null ? 'for good' : 'to '.$this->clock->date($pass->ends_at->getTimestamp());

        return $pass->offer->name.', '.match ($this->standing($pass)) {
            'active' => $end,
            'later' => 'from '.$this->clock->date($pass->starts_at->getTimestamp()),
            'ended' => 'ended '.$this->clock->date(($pass->ends_at ?? $pass->starts_at)->getTimestamp()),
            'paused' => 'paused',
            default => 'withdrawn',
        };
    }

    /** "12 days left", "ended 3 days ago", "begins in 5 days"; null where there is nothing to count. */
    public function left(Pass $pass): ?string
    {
        $now = $this->clock->now();
        $days = static fn (int $seconds): string => match (true) {
            $seconds < 7200 => max(1, intdiv($seconds, 60)).' minutes',
            $seconds < 172800 => intdiv($seconds, 3600).' hours',
            default => intdiv($seconds, 86400).' days',
        };
        $end = $pass->ends_at?->getTimestamp();

        return match ($this->standing($pass)) {
            'active', 'paused' => $end === null ? null : $days($end - $now).' left'.($pass->clock_stops ? ', standing still' : ''),
            'later' => 'begins in '.$days($pass->starts_at->getTimestamp() - $now),
            'ended' => $end === null ? null : 'ended '.$days($now - $end).' ago',
            default => null,
        };
    }
}
