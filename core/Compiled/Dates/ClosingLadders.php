<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Dates;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Rules\Closing;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\SchoolZone;

/**
 * What has closed by an instant, found by halving and not step by step. What is released at the later of two times closes so many days
 * after that one: it has closed where it has on the ladders of both.
 */
final readonly class ClosingLadders
{
    /** Whether a clock change may move a step, so that what has come is not always first. */
    public bool $mayMove;

    private Ladder $byDate;

    private ?Ladder $byMidnight;

    /** @var non-empty-list<Ladder> for each weekday of the beginning, Monday first, or one for all */
    private array $byBeginning;

    /** @var array<int, int> by closing step: that of what it stands in, with which it closes at the latest */
    private array $above;

    /**
     * @param  list<array{Closing, int, int}>  $rules  as in {@see ClosingSteps}
     * @param  list<int>  $plain  as in {@see Steps}, as the others
     * @param  list<int>  $timed
     * @param  list<int>  $datedWalls  wall-clock time of each dated step; half of {@see Instant::NEVER}: never
     * @param  list<Ladder>  $weekly
     * @param  array{int, int}  $skipped  times of day that clock changes skip
     */
    public function __construct(private SchoolZone $zone, array $rules, array $plain, array $timed, array $datedWalls, array $weekly, array $skipped)
    {
        $date = [Instant::NEVER];
        $midnight = $above = [];
        $beginnings = $weekly === [] ? [[]] : array_fill(0, count($weekly), []);
        $mayMove = false;
        $released = new ReleasedAt($plain, $timed, $datedWalls, $weekly);
        foreach ($rules as $index => [$rule, $release, $over]) {
            $step = $index + 1;
            if ($over > 0) {
                $above[$step] = $over;
            }
            if ($rule instanceof ClosesOn) {
                $date[$step] = $rule->at;

                continue;
            }
            $lasts = $rule->days * 86400;
            $wall = $released->wall($release);
            if ($wall !== null) {
                $date[$step] = $wall === Instant::NEVER >> 1 ? Instant::NEVER : $zone->instantOfWall($wall + $lasts);
                $time = ($wall % 86400 + 86400) % 86400;
                $mayMove = $mayMove || ($time >= $skipped[0] && $time < $skipped[1]);
            }
            $after = $released->afterMidnight($release);
            if ($after !== null) {
                $midnight[$step] = $after + $lasts;
            }
            foreach ($after === null || $after < 86400 ? array_keys($beginnings) : [] as $weekday) {
                $beginnings[$weekday][$step] = $released->afterBeginning($release, $weekday) + $lasts;
            }
        }
        $steps = count($rules) + 1;
        [$this->mayMove, $this->above, $this->byDate] = [$mayMove, $above, new Ladder($date, $steps)];
        $this->byMidnight = $midnight === [] ? null : new Ladder($midnight, $steps);
        $this->byBeginning = array_map(static fn (array $heights): Ladder => new Ladder($heights, $steps), $beginnings);
    }

    /**
     * @param  int  $wall  wall-clock time of the beginning
     * @param  int  $midnight  before it
     * @param  int  $weekday  of it, from 0, Monday
     * @return string a byte a closing step: whether it has come
     */
    public function come(int $wall, int $midnight, int $weekday, int $at): string
    {
        $come = $this->byDate->until($at) & ($this->byBeginning[$weekday] ?? $this->byBeginning[0])->untilOnWall($this->zone, $wall, $at);
        if ($this->byMidnight !== null) {
            $come &= $this->byMidnight->untilOnWall($this->zone, $midnight, $at);
        }
        foreach ($this->above as $step => $over) {
            if ($come[$over] === Mask::IN) {
                $come[$step] = Mask::IN;
            }
        }

        return $come;
    }
}
