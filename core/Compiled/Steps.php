<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Rules\Closing;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\SchoolZone;

/**
 * The dates of an offer's release plan in the fewest numbers: items of one step share an instant whenever a pass begins.
 *
 * Release step 0 is the beginning itself. Then come the *plain* steps, so many days after it at its own time of day and
 * ordered by the days, so that those released are always the first of them; then all others, each after what it counts from.
 * Closing step 0 never comes.
 */
final readonly class Steps
{
    /** @var list<bool> of each release step: whether it never comes, whenever the pass begins */
    public array $never;

    /** A byte a release step: all that ever come. */
    public string $ever;

    private int $plainCount;

    /** Every step has come so many seconds after the beginning, or after the latest date of the plan if that is later. */
    private int $span;

    private int $latestDate;

    /** Nothing closes by a relative rule within so many seconds after the beginning. */
    private int $noneClosed;

    private int $earliestClosingDate;

    /**
     * @param  list<int>  $plain  seconds of wall-clock time after the beginning, ascending, whole days each
     * @param  list<array{int, int, ?int, int, ?int, ?int}>  $others  the step of what it stands in, the step from which it counts, its date; of others the days, time and weekday as in {@see \SilentKeep\Core\Rules\Delay}
     * @param  list<array{Closing, int, int}>  $closings  the rule, the release step, the closing step of what it stands in; from closing step 1 on
     */
    public function __construct(private SchoolZone $zone, private array $plain, private array $others, private array $closings)
    {
        $this->plainCount = count($plain);
        $never = array_fill(0, 1 + $this->plainCount, false);
        $span = array_fill(0, 1 + $this->plainCount, 2 * 86400 + ($plain === [] ? 0 : max($plain)));
        $latest = PHP_INT_MIN;
        $least = array_fill(0, 1 + $this->plainCount, 0);
        foreach ($others as [$above, $base, $date, $days, , $weekday]) {
            $never[] = $never[$above] || $date === Instant::NEVER;
            // A day for a clock change and one for another time of day; a week where a weekday is waited for.
            $span[] = max($span[$above], $date === null ? $span[$base] + (2 + $days + ($weekday === null ? 0 : 7)) * 86400 : 0);
            $least[] = max($least[$above], $date === null ? $least[$base] + ($days - 2) * 86400 : 0);
            $latest = $date === null || $date === Instant::NEVER ? $latest : max($latest, $date);
        }
        $noneClosed = $earliestDate = PHP_INT_MAX;
        foreach ($closings as [$rule, $release]) {
            if ($rule instanceof ClosesOn) {
                $earliestDate = min($earliestDate, $rule->at);
            } else {
                $noneClosed = min($noneClosed, $least[$release] + ($rule->days - 2) * 86400);
            }
        }
        $this->noneClosed = $noneClosed;
        $this->earliestClosingDate = $earliestDate;
        $this->never = $never;
        $this->ever = Mask::of(array_map(static fn (bool $never): bool => ! $never, $never));
        $this->span = max($span);
        $this->latestDate = $latest;
    }

    /**
     * @param  int  $start  the instant from which the pass is paced, not before the course opens
     * @return list<int> the instant of each release step
     */
    public function releases(int $start): array
    {
        if ($this->plain === [] && $this->others === []) {
            return [$start];
        }
        $zone = $this->zone;
        $wall = $zone->wallAt($start);
        [$from, $until, $offset] = $zone->stretchOfWall($wall);
        $instants = [$start];
        foreach ($this->plain as $seconds) {
            $own = $wall + $seconds;
            if ($own >= $until || $own < $from) {
                [$from, $until, $offset] = $zone->stretchOfWall($own);
            }
            $own -= $offset;
            $instants[] = $own > $start ? $own : $start;
        }
        $walls = [$wall];
        foreach ($this->others as [$above, $base, $date, $days, $time, $weekday]) {
            if ($date !== null) {
                $own = $date;
            } elseif ($weekday !== null) {
                $own = $zone->plusDays($instants[$base], $days, $time, $weekday);
            } else {
                // As SchoolZone::plusDays(), with what several steps need worked out once.
                $wall = $walls[$base] ??= $zone->wallAt($instants[$base]);
                if ($time !== null) {
                    $wall += $time - ($wall % 86400 + 86400) % 86400;
                }
                $own = $wall + $days * 86400;
                if ($own >= $until || $own < $from) {
                    [$from, $until, $offset] = $zone->stretchOfWall($own);
                }
                $own -= $offset;
            }
            $instants[] = $own > $instants[$above] ? $own : $instants[$above];
        }

        return $instants;
    }

    /** @return string a byte a release step: whether it has come */
    public function released(int $start, int $at): string
    {
        if ($at < $start) {
            return str_repeat(Mask::OUT, strlen($this->ever));
        }
        if ($this->haveAllCome($start, $at)) {
            return $this->ever;
        }
        if ($this->others !== []) {
            return $this->releasedOf($this->releases($start), $at);
        }
        $come = $this->plainStepsCome($start, $at);

        return str_repeat(Mask::IN, 1 + $come).str_repeat(Mask::OUT, $this->plainCount - $come);
    }

    /** Whether all that ever come have come for certain: of passes long begun that is told without any date. */
    public function haveAllCome(int $start, int $at): bool
    {
        return $at - $this->span > $start && $at - $this->span > $this->latestDate;
    }

    /**
     * @param  list<int>  $instants  of each release step
     * @return string a byte a release step: whether it has come
     */
    public function releasedOf(array $instants, int $at): string
    {
        $flags = '';
        foreach ($instants as $instant) {
            $flags .= $instant <= $at ? Mask::IN : Mask::OUT;
        }

        return $flags;
    }

    /** How many plain steps have come: the first ones, found by halving. */
    private function plainStepsCome(int $start, int $at): int
    {
        $wall = $this->zone->wallAt($start);
        $come = 0;
        $left = $this->plainCount;
        while ($left > 0) {
            $half = $left >> 1;
            if ($this->zone->instantOfWall($wall + $this->plain[$come + $half]) <= $at) {
                $come += $half + 1;
                $left -= $half + 1;
            } else {
                $left = $half;
            }
        }

        return $come;
    }

    /**
     * @param  list<int>  $releases  of each release step
     * @param  int  $from  of the pass
     * @return list<int> the instant of each closing step
     */
    public function closings(array $releases, int $from): array
    {
        $instants = [Instant::NEVER];
        foreach ($this->closings as [$rule, $release, $above]) {
            $own = $rule instanceof ClosesOn ? $rule->at : $rule->instant(max($releases[$release], $from), $this->zone);
            $instants[] = min($own, $instants[$above]);
        }

        return $instants;
    }

    public function everClose(): bool
    {
        return $this->closings !== [];
    }

    /** Whether anything can have closed by then: most often that is told without any date. */
    public function mayHaveClosed(int $start, int $at): bool
    {
        return $at >= $this->earliestClosingDate || $at - $start >= $this->noneClosed;
    }
}
