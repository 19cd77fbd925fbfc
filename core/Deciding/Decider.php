<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Viewer;

/**
 * The definition of every decision, told with the rule objects themselves: make one for a course, then
 * ask it about any viewer at any instant. The contract is docs/decisions.md.
 */
final class Decider
{
    public readonly PreparedCourse $prepared;

    public readonly ChangePoints $changePoints;

    public function __construct(Plan $plan, public readonly Course $course)
    {
        $this->prepared = new PreparedCourse($plan, $course);
        $this->changePoints = new ChangePoints($this->prepared);
    }

    public function snapshot(Viewer $viewer, int $at): CourseSnapshot
    {
        // What lies in the future at this instant stays undone in every look ahead.
        return new CourseSnapshot($this->prepared, self::asOf($viewer, $at), $at);
    }

    /** @return list<Decision> every item in reading order */
    public function decide(Viewer $viewer, int $at): array
    {
        $snapshot = $this->snapshot($viewer, $at);
        $next = $this->nextChanges($viewer, $at, $snapshot->standings);
        $decisions = [];
        foreach ($this->course->outline->items as $position => $item) {
            $standing = $snapshot->standings[$position];
            $decisions[] = new Decision($item->key, $standing->state, $standing->via, $standing->act, $snapshot->why($position), $next[$position]);
        }

        return $decisions;
    }

    /**
     * Steps from one instant of change to the next until every item has changed or no instant is left.
     *
     * @param  list<Standing>  $now
     * @return list<?StateChange>
     */
    private function nextChanges(Viewer $viewer, int $at, array $now): array
    {
        $viewer = self::asOf($viewer, $at);
        $next = array_fill(0, count($now), null);
        $waiting = array_keys($now);
        foreach ($viewer->staff ? [] : $this->changePoints->between($viewer, $at, Instant::NEVER) as $instant) {
            $then = (new CourseSnapshot($this->prepared, $viewer, $instant))->standings;
            foreach ($waiting as $index => $position) {
                if ($then[$position]->state !== $now[$position]->state) {
                    $next[$position] = new StateChange($instant, $then[$position]->state);
                    unset($waiting[$index]);
                }
            }
            if ($waiting === []) {
                break;
            }
        }

        return array_values($next);
    }

    /** The viewer without what they (or whom they observe) complete after this instant. */
    public static function asOf(Viewer $viewer, int $at): Viewer
    {
        $learner = $viewer->observes;

        return $viewer->withDone(self::doneBy($viewer, $at))->observing($learner?->withDone(self::doneBy($learner, $at)));
    }

    /** @return array<array-key, int> */
    private static function doneBy(Viewer $viewer, int $at): array
    {
        return array_filter($viewer->done, static fn (int $since): bool => $since <= $at);
    }
}
