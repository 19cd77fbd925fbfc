<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Dates;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Rules\Opening;
use SilentKeep\Core\Time\CivilDate;
use SilentKeep\Core\Time\Instant;
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

    /** Whether some steps are neither on a ladder nor weekly. */
    public readonly bool $goOneByOne;

    private readonly StepBounds $bounds;

    /** @var list<int> wall-clock time of each dated step */
    private readonly array $datedWalls;

    /** Whether a clock change may move a timed step. */
    private readonly bool $timedMayMove;

    private readonly bool $countFromEachOther;

    private ?ClosingLadders $closingLadders = null;

    /** @var array{int, int} times of day at which a pass has to begin for its ladders to be gone up step by step */
    private readonly array $skipped;

    /**
     * @param  list<int>  $plain  seconds of wall-clock time after the beginning, ascending
     * @param  list<int>  $timed  seconds of wall-clock time after the midnight before the beginning, ascending
     * @param  list<int>  $dated  instants, ascending
     * @param  list<Ladder>  $weekly  by the weekday of the beginning, Monday first
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
        $this->goOneByOne = $others !== [];
        $this->bounds = new StepBounds($rules, $closing->rules);
        $this->never = $this->bounds->never;
        $this->ever = Mask::of(array_map(static fn (bool $never): bool => ! $never, $this->never));
        $this->skipped = $zone->skippedTimes(self::LADDERS_SINCE);
        // Half of never is as far away, and days can still be added to it.
        $this->datedWalls = array_map(static fn (int $date): int => $date === Instant::NEVER ? Instant::NEVER >> 1 : $zone->wallAt($date), $dated);
        $this->countFromEachOther = array_filter(array_column($rules, 2)) !== [];
        $this->timedMayMove = array_filter($timed, fn (int $seconds): bool => $seconds % 86400 >= $this->skipped[0] && $seconds % 86400 < $this->skipped[1]) !== [];
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
        if ($this->movesOthers($start, $time)) {
            return $this->stepByStep($start);
        }
        $instants = [$start];
        $this->ladder($instants, $this->plain, $wall, $start);
        $this->ladder($instants, $this->timed, $wall - $time, $start);
        foreach ($this->dated as $date) {
            $instants[] = $date > $start ? $date : $start;
        }
        $this->ladder($instants, $this->weekly === [] ? [] : $this->weekly[$this->weekday($wall - $time)]->heights, $wall, $start);

        return $this->others === [] ? $instants : array_values($this->go($instants, $this->others));
    }

    /** Whether a clock change may move a step of a pass that begins then. */
    private function isMovable(int $start, int $time): bool
    {
        return $start < self::LADDERS_SINCE || ($time >= $this->skipped[0] && $time < $this->skipped[1]);
    }

    /** The same, and with it others that count from it: what counts from the beginning alone stays where its ladder has it. */
    private function movesOthers(int $start, int $time): bool
    {
        return $start < self::LADDERS_SINCE || ($this->countFromEachOther && $this->isMovable($start, $time));
    }

    /** Null where anything does not come on a date. */
    public function fixed(): ?FixedDates
    {
        return $this->dated === [] || count($this->dated) < count($this->rules) ? null : FixedDates::of($this->dated, $this->closing);
    }

    /** @return int from 0, Monday */
    private function weekday(int $midnight): int
    {
        return CivilDate::weekday(intdiv($midnight, 86400)) - 1;
    }

    /**
     * @param  list<int>  $instants
     * @param  array<int, int>  $steps
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

    /**
     * @param  ?list<int>  $releases  the instant of each step, where they are known already
     * @return string a byte a release step: whether it has come
     */
    public function released(int $start, int $at, ?array $releases): string
    {
        if ($at < $start) {
            return str_repeat(Mask::OUT, strlen($this->ever));
        }
        if ($this->bounds->haveAllCome($start, $at)) {
            return $this->ever;
        }
        $wall = $this->zone->wallAt($start);
        $time = ($wall % 86400 + 86400) % 86400;
        if ($this->timedMayMove || $this->movesOthers($start, $time)) {
            // A step that is moved may come after one of a higher rung.
            return Rungs::oneByOne($releases ?? $this->releases($start), $at);
        }
        $come = Mask::IN.Rungs::first(Rungs::untilOnWall($this->zone, $this->plain, $wall, $at), count($this->plain))
            .Rungs::first(Rungs::untilOnWall($this->zone, $this->timed, $wall - $time, $at), count($this->timed)).Rungs::first(Rungs::until($this->dated, $at), count($this->dated));
        if ($this->weekly !== []) {
            $come .= $this->weekly[$this->weekday($wall - $time)]->untilOnWall($this->zone, $wall, $at);
        }

        return $this->others === [] ? $come : $come.Rungs::oneByOne(array_slice($releases ?? $this->releases($start), strlen($come)), $at);
    }

    /**
     * @param  int  $from  of the pass
     * @return ?string a byte a closing step: whether it has come; null where their instants have to be worked out for that
     */
    public function closed(int $start, int $from, int $at): ?string
    {
        $wall = $this->zone->wallAt($start);
        $time = ($wall % 86400 + 86400) % 86400;
        if ($this->others !== [] || $this->timedMayMove || $from !== $start || $this->isMovable($start, $time)) {
            return null;
        }
        // In the second of two hours that read the same the clock does not tell what was later.
        if ($this->zone->instantOfWall($wall) !== $start) {
            return null;
        }
        $ladders = $this->closingLadders ??= new ClosingLadders($this->zone, $this->closing->rules, $this->plain, $this->timed, $this->datedWalls, $this->weekly, $this->skipped);

        return $ladders->mayMove ? null : $ladders->come($wall, $wall - $time, $this->weekday($wall - $time), $at);
    }

    /** Whether all that ever come have come for certain. */
    public function haveAllCome(int $start, int $at): bool
    {
        return $this->bounds->haveAllCome($start, $at);
    }

    /** Whether anything can have closed by then. */
    public function mayHaveClosed(int $start, int $at): bool
    {
        return $this->closing->rules !== [] && $this->bounds->mayHaveClosed($start, $at);
    }
}
