<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Dates;

use SilentKeep\Core\Compiled\Mask;

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
     * Those of a ladder, found by halving.
     *
     * @param  list<int>  $instants  ascending
     */
    public static function until(array $instants, int $at): string
    {
        $come = 0;
        $left = $all = count($instants);
        while ($left > 0) {
            $half = $left >> 1;
            if ($instants[$come + $half] <= $at) {
                $come += $half + 1;
                $left -= $half + 1;
            } else {
                $left = $half;
            }
        }

        return self::first($come, $all);
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
}
