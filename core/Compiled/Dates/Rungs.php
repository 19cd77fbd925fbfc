<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Dates;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Time\SchoolZone;

/** Which of some steps have come, a byte a step. */
final class Rungs
{
    private function __construct()
    {
    }

    /** The first of so many. */
    public static function first(int $come, int $of): string
    {
        return $of === 0 ? '' : str_repeat(Mask::IN, $come).str_repeat(Mask::OUT, $of - $come);
    }

    /**
     * How many of a ladder have come, found by halving.
     *
     * @param  list<int>  $instants  ascending
     */
    public static function until(array $instants, int $at): int
    {
        $come = 0;
        $left = count($instants);
        while ($left > 0) {
            $half = $left >> 1;
            if ($instants[$come + $half] <= $at) {
                $come += $half + 1;
                $left -= $half + 1;
            } else {
                $left = $half;
            }
        }

        return $come;
    }

    /**
     * The same of a ladder on the wall clock.
     *
     * @param  list<int>  $heights  seconds of wall-clock time after its foot, ascending
     */
    public static function untilOnWall(SchoolZone $zone, array $heights, int $foot, int $at): int
    {
        $come = 0;
        $left = count($heights);
        $wallThen = $left === 0 ? 0 : $zone->wallAt($at) - $foot;
        while ($left > 0) {
            $half = $left >> 1;
            $off = $heights[$come + $half] - $wallThen;
            // No zone changes its clock by more than a day.
            if ($off < -86400 || ($off <= 86400 && $zone->instantOfWall($foot + $heights[$come + $half]) <= $at)) {
                $come += $half + 1;
                $left -= $half + 1;
            } else {
                $left = $half;
            }
        }

        return $come;
    }

    /** @param  list<int>  $instants  in no order */
    public static function oneByOne(array $instants, int $at): string
    {
        $come = '';
        foreach ($instants as $instant) {
            $come .= $instant <= $at ? Mask::IN : Mask::OUT;
        }

        return $come;
    }

    /**
     * Those that come after an instant and before another, in the order in which they come.
     *
     * @param  list<int>  $instants  of steps
     * @return array{list<int>, list<int>} instants, ascending; the steps by the same places
     */
    public static function ahead(array $instants, int $after, int $before): array
    {
        $ahead = [];
        foreach ($instants as $step => $instant) {
            if ($instant > $after && $instant < $before) {
                $ahead[$step] = $instant;
            }
        }
        asort($ahead);

        return [array_values($ahead), array_keys($ahead)];
    }

    /**
     * Those that come after an instant, as a text: where it is the same, the same comes.
     *
     * @param  list<int>  $instants
     */
    public static function aheadTold(array $instants, int $after): string
    {
        foreach ($instants as $step => $instant) {
            if ($instant <= $after) {
                $instants[$step] = 0;
            }
        }

        return pack('q*', ...$instants);
    }

    /**
     * Whether what comes after an instant comes at the same times.
     *
     * @param  list<int>  $instants  of steps
     * @param  list<int>  $others  of the same steps
     */
    public static function areAlike(array $instants, array $others, int $at): bool
    {
        foreach ($instants as $step => $instant) {
            if ($instant !== $others[$step] && ($instant > $at || $others[$step] > $at)) {
                return false;
            }
        }

        return true;
    }
}
