<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Dates;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Rules\Opening;
use SilentKeep\Core\Time\CivilDate;
use SilentKeep\Core\Time\SchoolZone;

/**
 * The dates of an offer's release plan in the fewest numbers: items of one step share an instant whenever a pass begins.
 *
 * Release step 0 is the beginning itself. Then come three ladders of steps that follow from the beginning alone: *plain* ones, so many
 * days after it at its own time of day, *timed* ones, so many days after its date at a time of their own, and *dated* ones. Each is in the
 * order in which they come, so that those that have come are always the first of their ladder. *Weekly* steps come at the beginning's own time
 * of day on a weekday, so that the weekday of the beginning tells after how many days. Then all others, each after what it counts
 * from.
 *
 * A rule is its step; that of what it stands in, and the one from which it counts; its date, or itself where it is
 * neither a date nor a delay; of delays days, time and weekday as in {@see \SilentKeep\Core\Rules\Delay}.
 *
 * @phpstan-type Rule array{int, int, int, int|Opening|null, int, ?int, ?int}
 */
final class Steps
{
    /** Of passes that begin before, every step is gone up: zones changed their clocks at all times of day then. 1990-01-01T00:00:00Z */
    private const LADDERS_SINCE = 631152000;

    /** @var list<bool> of each release step: whether it never comes, whenever the pass begins */
    public readonly array $never;

    /** A byte a release step: all that ever come. */
    public readonly string $ever;

    private readonly StepBounds $bounds;

    /** @var array{int, int} times of day at which a pass has to begin for its ladders to be gone up step by step */
    private readonly array $skipped;

    /**
     * @param  list<int>  $plain  seconds of wall-clock time after the beginning, ascending
     * @param  list<int>  $timed  seconds of wall-clock time after the midnight before the beginning, ascending
     * @param  list<int>  $dated  instants, ascending
     * @param  list<list<int>>  $weekly  seconds of wall-clock time after the beginning, by the weekday of the beginning, Monday first
     * @param  list<Rule>  $rules  of all steps but the first, each after what it counts from
     * @param  list<Rule>  $others  those of them on no ladder and not weekly
     */
    public function __construct(
        private readonly SchoolZone $zone,
        private readonly array $plain,
        private readonly array $timed,
        private readonly array $dated,
        private readonly array $weekly,
        private readonly array $rules,
        private readonly array $others,
        public readonly ClosingSteps $closing,
    ) {
        $this->bounds = new StepBounds($rules, $closing->rules);
        $this->never = $this->bounds->never;
        $this->ever = Mask::of(array_map(static fn (bool $never): bool => ! $never, $this->never));
        $this->skipped = $zone->skippedTimes(self::LADDERS_SINCE);
    }

    /**
     * @param  int  $start  the instant from which the pass is paced, not before the course opens
     * @return list<int> the instant of each release step
     */
    public function releases(int $start): array
    {
        if ($this->rules === []) {
            return [$start];
        }
        $wall = $this->zone->wallAt($start);
        $time = ($wall % 86400 + 86400) % 86400;
        if ($this->isMovable($start, $time)) {
            return $this->stepByStep($start);
        }
        $instants = [$start];
        $this->ladder($instants, $this->plain, $wall, $start);
        $this->ladder($instants, $this->timed, $wall - $time, $start);
        foreach ($this->dated as $date) {
            $instants[] = $date > $start ? $date : $start;
        }
        $this->ladder($instants, $this->weekly[$this->weekday($wall - $time)] ?? [], $wall, $start);

        return $this->others === [] ? $instants : array_values($this->go($instants, $this->others));
    }

    /** Whether a clock change may move a step of a pass that begins then, and with it those that count from it. */
    private function isMovable(int $start, int $time): bool
    {
        return $start < self::LADDERS_SINCE || ($time >= $this->skipped[0] && $time < $this->skipped[1]);
    }

    /** @return int from 0, Monday */
    private function weekday(int $midnight): int
    {
        return CivilDate::weekday(intdiv($midnight, 86400)) - 1;
    }

    /**
     * @param  list<int>  $instants
     * @param  list<int>  $steps
     */
    private function ladder(array &$instants, array $steps, int $foot, int $start): void
    {
        if ($steps === []) {
            return;
        }
        [$from, $until, $offset] = $this->zone->stretchOfWall($foot);
        foreach ($steps as $seconds) {
            $own = $foot + $seconds;
            if ($own >= $until || $own < $from) {
                [$from, $until, $offset] = $this->zone->stretchOfWall($own);
            }
            $own -= $offset;
            $instants[] = $own > $start ? $own : $start;
        }
    }

    /** @return list<int> the instant of each release step, where a clock change may move what others count from */
    private function stepByStep(int $start): array
    {
        $instants = $this->go([$start], $this->rules);
        ksort($instants);

        return array_values($instants);
    }

    /**
     * @param  array<int, int>  $instants
     * @param  list<Rule>  $rules
     * @return array<int, int> the same and the instants of these steps
     */
    private function go(array $instants, array $rules): array
    {
        $zone = $this->zone;
        $walls = [];
        [$from, $until, $offset] = [0, 0, 0];
        foreach ($rules as [$step, $above, $base, $date, $days, $time, $weekday]) {
            if ($date === null) {
                // As SchoolZone::plusDays(), with what several steps need worked out once.
                $wall = $walls[$base] ??= $zone->wallAt($instants[$base]);
                $ownTime = ($wall % 86400 + 86400) % 86400;
                $midnight = $wall - $ownTime + $days * 86400;
                $time ??= $ownTime;
                $ahead = $weekday === null ? 0 : (($weekday - CivilDate::weekday(intdiv($midnight, 86400))) % 7 + 7) % 7;
                $own = $midnight + $ahead * 86400 + $time;
                if ($weekday !== null && $ahead === 0 && $time < $ownTime && $zone->instantOfWall($own) < $zone->instantOfWall($midnight + $ownTime)) {
                    $own += 7 * 86400;
                }
                if ($own >= $until || $own < $from) {
                    [$from, $until, $offset] = $zone->stretchOfWall($own);
                }
                $date = $own - $offset;
            } elseif ($date instanceof Opening) {
                $date = $date->instant($instants[0], $instants[$base], $zone);
            }
            $instants[$step] = $date > $instants[$above] ? $date : $instants[$above];
        }

        return $instants;
    }

    /** @return string a byte a release step: whether it has come */
    public function released(int $start, int $at): string
    {
        if ($at < $start) {
            return str_repeat(Mask::OUT, strlen($this->ever));
        }
        if ($this->bounds->haveAllCome($start, $at)) {
            return $this->ever;
        }
        $wall = $this->zone->wallAt($start);
        $time = ($wall % 86400 + 86400) % 86400;
        if ($this->others !== [] || $this->isMovable($start, $time)) {
            return $this->releasedOf($this->releases($start), $at);
        }
        $weekly = $this->weekly === [] ? '' : $this->comeOneByOne($this->weekly[$this->weekday($wall - $time)], $wall, $at);

        return Mask::IN.($this->plain === [] ? '' : $this->come($this->plain, $wall, $at)).($this->timed === [] ? '' : $this->come($this->timed, $wall - $time, $at)).self::rungs($this->dated, 0, count($this->dated), $at).$weekly;
    }

    /**
     * How many steps of a ladder have come, found by halving.
     *
     * @param  list<int>  $steps
     * @return string a byte a step
     */
    private function come(array $steps, int $foot, int $at): string
    {
        $come = 0;
        $left = $all = count($steps);
        $wallThen = $this->zone->wallAt($at) - $foot;
        while ($left > 0) {
            $half = $left >> 1;
            $off = $steps[$come + $half] - $wallThen;
            // No zone changes its clock by more than a day.
            if ($off < -86400 || ($off <= 86400 && $this->zone->instantOfWall($foot + $steps[$come + $half]) <= $at)) {
                $come += $half + 1;
                $left -= $half + 1;
            } else {
                $left = $half;
            }
        }

        return str_repeat(Mask::IN, $come).str_repeat(Mask::OUT, $all - $come);
    }

    /** Whether all that ever come have come for certain. */
    public function haveAllCome(int $start, int $at): bool
    {
        return $this->bounds->haveAllCome($start, $at);
    }

    /**
     * @param  list<int>  $steps  in no order
     * @return string a byte a step: whether it has come
     */
    private function comeOneByOne(array $steps, int $foot, int $at): string
    {
        $come = '';
        $wallThen = $this->zone->wallAt($at) - $foot;
        foreach ($steps as $seconds) {
            $off = $seconds - $wallThen;
            $come .= $off < -86400 || ($off <= 86400 && $this->zone->instantOfWall($foot + $seconds) <= $at) ? Mask::IN : Mask::OUT;
        }

        return $come;
    }

    /**
     * @param  list<int>  $instants  of each release step
     * @return string a byte a release step: whether it has come
     */
    public function releasedOf(array $instants, int $at): string
    {
        $plain = count($this->plain);
        $timed = $plain + count($this->timed);
        $ladders = $timed + count($this->dated);
        $flags = ($instants[0] <= $at ? Mask::IN : Mask::OUT).self::rungs($instants, 1, $plain, $at)
            .self::rungs($instants, 1 + $plain, $timed - $plain, $at).self::rungs($instants, 1 + $timed, $ladders - $timed, $at);
        for ($step = 1 + $ladders, $steps = count($instants); $step < $steps; $step++) {
            $flags .= $instants[$step] <= $at ? Mask::IN : Mask::OUT;
        }

        return $flags;
    }

    /**
     * How many steps of a ladder have come, found by halving.
     *
     * @param  list<int>  $instants
     * @return string a byte a step
     */
    private static function rungs(array $instants, int $first, int $count, int $at): string
    {
        $come = 0;
        $left = $count;
        while ($left > 0) {
            $half = $left >> 1;
            if ($instants[$first + $come + $half] <= $at) {
                $come += $half + 1;
                $left -= $half + 1;
            } else {
                $left = $half;
            }
        }

        return str_repeat(Mask::IN, $come).str_repeat(Mask::OUT, $count - $come);
    }

    /** Whether anything can have closed by then. */
    public function mayHaveClosed(int $start, int $at): bool
    {
        return $this->closing->rules !== [] && $this->bounds->mayHaveClosed($start, $at);
    }
}
