<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Dates;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Time\SchoolZone;

/** Some of many steps in the order in which they come: those that have come are always the first of them. */
final class Ladder
{
    /** How many answers are kept. */
    private const MOST_KEPT = 100;

    /** @var list<int> ascending */
    private readonly array $ascending;

    /** @var list<int> where each of those stands among the steps */
    private readonly array $places;

    /** @var array<int, string> by how many have come */
    private array $come = [];

    /**
     * @param  array<int, int>  $heights  instants, or seconds of wall-clock time after the foot of the ladder, by the place of the step
     * @param  int  $steps  how many there are with those that stand on other ladders
     */
    public function __construct(public readonly array $heights, private readonly int $steps)
    {
        asort($heights);
        $this->places = array_keys($heights);
        $this->ascending = array_values($heights);
    }

    /** @return string a byte a step: whether it has come, of those on other ladders too */
    public function until(int $at): string
    {
        return $this->first(Rungs::until($this->ascending, $at));
    }

    /**
     * The same, of heights on the wall clock.
     *
     * @param  int  $foot  wall-clock time
     */
    public function untilOnWall(SchoolZone $zone, int $foot, int $at): string
    {
        return $this->first(Rungs::untilOnWall($zone, $this->ascending, $foot, $at));
    }

    private function first(int $howMany): string
    {
        if (! isset($this->come[$howMany])) {
            $come = str_repeat(Mask::IN, $this->steps);
            for ($rank = $howMany, $all = count($this->places); $rank < $all; $rank++) {
                $come[$this->places[$rank]] = Mask::OUT;
            }
            $this->come = count($this->come) < self::MOST_KEPT ? $this->come : [];
            $this->come[$howMany] = $come;
        }

        return $this->come[$howMany];
    }
}
