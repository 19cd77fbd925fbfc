<?php

declare(strict_types=1);

namespace SilentKeep\Core\Time;

/**
 * The school's IANA zone: turns wall-clock times into instants and counts calendar days.
 *
 * A wall-clock time that a clock change skips moves forward by the length of the gap; one that
 * happens twice is the first. Both come out when the offset from before the change goes on counting
 * until the wall clock has passed it altogether, which is how the table is searched.
 */
final class SchoolZone
{
    /** Clock changes are looked up in a table for these years and computed one by one outside. */
    private const TABLE_FROM = -2208988800; // 1900-01-01T00:00:00Z

    private const TABLE_UNTIL = 7258118400; // 2200-01-01T00:00:00Z

    /** @var array<string, self> */
    private static array $known = [];

    /** @var list<int> instants from which the offset of the same index counts */
    private array $since;

    /** @var list<int> seconds east of UTC */
    private array $offset;

    /** @var list<int> wall-clock seconds from which the offset of the same index counts */
    private array $wallSince;

    /** @var list<int> instants before which the offset of the same index counts */
    private array $until;

    /** @var list<int> wall-clock seconds before which the offset of the same index counts */
    private array $wallUntil;

    /** Where the last look-ups ended: the next one is mostly near by. */
    private int $near = 0;

    private int $wallNear = 0;

    /** @var ?list<int> which offset counts as each span of 2^22 seconds (some seven weeks) begins; null until it is asked for, so that a plan that is kept does not carry it */
    private ?array $spans = null;

    /** @var ?list<int> the same on the wall clock */
    private ?array $wallSpans = null;

    /** The same for PHP's own dates. */
    public readonly \DateTimeZone $native;

    private function __construct(public readonly string $name)
    {
        $this->native = ZoneNames::zone($name);
        $transitions = $this->native->getTransitions(self::TABLE_FROM, self::TABLE_UNTIL);
        $before = null;
        $this->since = $this->offset = $this->wallSince = [];
        foreach ($transitions as $transition) {
            if ($transition['offset'] === $before) {
                continue;
            }
            $this->since[] = $transition['ts'];
            $this->offset[] = $transition['offset'];
            $this->wallSince[] = $before === null ? PHP_INT_MIN : $transition['ts'] + max($before, $transition['offset']);
            $before = $transition['offset'];
        }
        if ($this->since === []) {
            $this->since = [self::TABLE_FROM];
            $this->offset = [$this->native->getOffset(new \DateTimeImmutable('@0'))];
            $this->wallSince = [PHP_INT_MIN];
        }
        $this->until = [...array_slice($this->since, 1), PHP_INT_MAX];
        $this->wallUntil = [...array_slice($this->wallSince, 1), PHP_INT_MAX];
    }

    /**
     * @param  list<int>  $until
     * @return list<int>
     */
    private static function spansOf(array $until): array
    {
        $spans = [];
        $index = 0;
        for ($begins = self::TABLE_FROM; $begins < self::TABLE_UNTIL; $begins += 1 << 22) {
            while ($until[$index] <= $begins) {
                $index++;
            }
            $spans[] = $index;
        }

        return $spans;
    }

    /** @throws InvalidTime if the IANA database has no zone of exactly this name */
    public static function named(string $name): self
    {
        if (isset(self::$known[$name])) {
            return self::$known[$name];
        }
        if (! ZoneNames::has($name)) {
            throw InvalidTime::unknownZone($name);
        }

        return self::$known[$name] = new self($name);
    }

    /**
     * The offsets of a stretch of time, for whoever must read the wall clock without this zone.
     *
     * @return array<int, int> seconds ahead of UTC by the instant from which they hold, ascending; the first holds at `$from`
     */
    public function offsets(int $from, int $until): array
    {
        $offsets = [$from => $this->offsetAt($from)];
        foreach ($this->since as $index => $since) {
            if ($since > $from && $since < $until) {
                $offsets[$since] = $this->offset[$index];
            }
        }

        return $offsets;
    }

    public function instantOf(LocalTime $local): int
    {
        return $this->instantOfWall($local->wallSeconds);
    }

    /** The wall clock at an instant, in seconds as {@see LocalTime} counts them. */
    public function wallAt(int $instant): int
    {
        return $instant + $this->offsetAt($instant);
    }

    /**
     * The stretch of time around an instant within which the clock is not changed, for whoever must read the wall clock at many.
     *
     * @return array{int, int, int} from, until, and the seconds by which the wall clock is ahead of UTC
     */
    public function stretchAt(int $instant): array
    {
        $offset = $this->offsetAt($instant);
        if ($instant < self::TABLE_FROM || $instant >= self::TABLE_UNTIL) {
            return [$instant, $instant + 1, $offset];
        }

        return [max($this->since[$this->near], self::TABLE_FROM), min($this->until[$this->near], self::TABLE_UNTIL), $offset];
    }

    /** The same day of the month at the same wall-clock time so many months later; where that month has no such day, on its last. */
    public function plusMonths(int $base, int $months): int
    {
        $wall = $this->wallAt($base);
        $day = self::floorDiv($wall, 86400);
        [$year, $month, $dayOfMonth] = CivilDate::ofDayNumber($day);
        $month += $months - 1;
        $year += self::floorDiv($month, 12);
        $month -= self::floorDiv($month, 12) * 12;
        $first = CivilDate::toDayNumber($year, $month + 1, 1);
        $next = $month === 11 ? CivilDate::toDayNumber($year + 1, 1, 1) : CivilDate::toDayNumber($year, $month + 2, 1);

        return $this->instantOfWall(min($first + $dayOfMonth - 1, $next - 1) * 86400 + $wall - $day * 86400);
    }

    /** How many whole calendar days lie between, as {@see self::plusDays()} counts them; 0 where the second is not after the first. */
    public function wholeDays(int $from, int $until): int
    {
        // A day has 23 to 25 hours: at most one off.
        $days = max(0, intdiv($until - $from, 86400) + 1);
        while ($days > 0 && $this->plusDays($from, $days) > $until) {
            $days--;
        }

        return $days;
    }

    /**
     * The base's local date plus n days, at the given time of day or else at the base's own; then, with
     * a weekday, the first such day from there on whose instant at that time is not before what the
     * base's own time of day would have given.
     *
     * @param  ?int  $time  seconds since midnight
     * @param  ?int  $weekday  Monday is 1, Sunday is 7
     */
    public function plusDays(int $base, int $days, ?int $time = null, ?int $weekday = null): int
    {
        $wall = $this->wallAt($base);
        $day = self::floorDiv($wall, 86400);
        $ownTime = $wall - $day * 86400;
        $day += $days;
        $time ??= $ownTime;
        if ($weekday === null) {
            return $this->instantOfWall($day * 86400 + $time);
        }
        $earliest = $this->instantOfWall($day * 86400 + $ownTime);
        $day += ($weekday - CivilDate::weekday($day) + 7) % 7;
        $instant = $this->instantOfWall($day * 86400 + $time);

        return $instant >= $earliest ? $instant : $this->instantOfWall(($day + 7) * 86400 + $time);
    }

    private function offsetAt(int $instant): int
    {
        if ($instant < self::TABLE_FROM || $instant >= self::TABLE_UNTIL) {
            return $this->native->getOffset(new \DateTimeImmutable('@'.$instant));
        }

        if ($instant < $this->since[$this->near] || $instant >= $this->until[$this->near]) {
            $this->spans ??= self::spansOf($this->until);
            $this->near = $this->spans[($instant - self::TABLE_FROM) >> 22];
            while ($instant >= $this->until[$this->near]) {
                $this->near++;
            }
        }

        return $this->offset[$this->near];
    }

    /** @param  int  $wall  as {@see LocalTime} counts */
    public function instantOfWall(int $wall): int
    {
        if ($wall < self::TABLE_FROM + 86400 || $wall >= self::TABLE_UNTIL - 86400) {
            return $this->instantOfDistantWall($wall);
        }

        if ($wall < $this->wallSince[$this->wallNear] || $wall >= $this->wallUntil[$this->wallNear]) {
            $this->wallSpans ??= self::spansOf($this->wallUntil);
            $this->wallNear = $this->wallSpans[($wall - self::TABLE_FROM) >> 22];
            while ($wall >= $this->wallUntil[$this->wallNear]) {
                $this->wallNear++;
            }
        }

        return $wall - $this->offset[$this->wallNear];
    }

    /**
     * The stretch of wall-clock time around one that has the same offset throughout, so that whoever turns many can do so without asking for each.
     *
     * @param  int  $wall  as {@see LocalTime} counts
     * @return array{int, int, int} from, until, and the seconds by which the wall clock is ahead of UTC
     */
    public function stretchOfWall(int $wall): array
    {
        if ($wall < self::TABLE_FROM + 86400 || $wall >= self::TABLE_UNTIL - 86400) {
            return [$wall, $wall + 1, $wall - $this->instantOfDistantWall($wall)];
        }
        $this->instantOfWall($wall);
        $near = $this->wallNear;

        return [max($this->wallSince[$near], self::TABLE_FROM + 86400), min($this->wallUntil[$near], self::TABLE_UNTIL - 86400), $this->offset[$near]];
    }

    /**
     * The times of day that some clock change of this zone skips from an instant on, in seconds since midnight: half-open, and the least
     * stretch that has them all; the whole day, where a change may move to another date what it skips.
     *
     * @return array{int, int}
     */
    public function skippedTimes(int $after): array
    {
        $from = 86400;
        $until = 0;
        for ($change = 1; $change < count($this->since); $change++) {
            $gap = $this->offset[$change] - $this->offset[$change - 1];
            if ($gap <= 0 || $this->since[$change] < $after) {
                continue;
            }
            $begins = $this->since[$change] + $this->offset[$change - 1];
            $time = $begins - self::floorDiv($begins, 86400) * 86400;
            if ($time + 2 * $gap > 86400) {
                return [0, 86400];
            }
            $from = min($from, $time);
            $until = max($until, $time + $gap);
        }

        return [$from, $until];
    }

    /** No zone is a day or more from UTC, and none changes its clock twice in two days. */
    private function instantOfDistantWall(int $wall): int
    {
        $before = $this->offsetAt($wall - 86400);
        $after = $this->offsetAt($wall + 86400);
        $byBefore = $wall - $before;
        if ($before === $after || $this->offsetAt($byBefore) === $before) {
            return $byBefore;
        }
        $byAfter = $wall - $after;

        return $this->offsetAt($byAfter) === $after ? $byAfter : $byBefore;
    }

    private static function floorDiv(int $value, int $by): int
    {
        return intdiv($value, $by) - ($value % $by < 0 ? 1 : 0);
    }
}
