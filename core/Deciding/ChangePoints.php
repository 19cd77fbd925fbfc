<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Rules\AllOf;
use SilentKeep\Core\Rules\AnyOf;
use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Rules\Condition;
use SilentKeep\Core\Rules\FromInstant;
use SilentKeep\Core\Rules\NotSo;
use SilentKeep\Core\Rules\UntilInstant;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\LabelTimes;
use SilentKeep\Core\Viewing\Viewer;

/**
 * The instants at which anything may change for a viewer by time alone: seasons, passes, labels, grants,
 * releases, closings, dates of the main plan and dates in conditions.
 */
final readonly class ChangePoints
{
    /** @var list<int> those that are the same for everybody */
    private array $ofCourse;

    public function __construct(private PreparedCourse $prepared)
    {
        $course = $prepared->course;
        $instants = [$course->opens ?? Instant::NEVER, $course->closes ?? Instant::NEVER];
        foreach ($prepared->outline->items as $at => $item) {
            $opening = $course->mainPlan?->opening($at);
            $closing = $course->mainPlan?->closing($at);
            $instants[] = $opening?->dated() ?? Instant::NEVER;
            if ($closing instanceof ClosesOn) {
                $instants[] = $closing->at;
            }
            if ($item->only !== null) {
                array_push($instants, ...self::datesIn($item->only));
            }
        }
        $this->ofCourse = $instants;
    }

    /**
     * @param  int  $before  the first instant that no longer counts, or NEVER
     * @return list<int> ascending, each after `$after` and before `$before`
     */
    public function between(Viewer $viewer, int $after, int $before): array
    {
        $instants = [...$this->ofCourse, ...$this->ofViewer($viewer)];
        $learner = CourseSnapshot::observedLearner($viewer);
        if ($learner !== null) {
            array_push($instants, ...$this->ofViewer($learner));
        }
        $instants = array_unique(array_filter($instants, static fn (int $at): bool => $at > $after && $at < $before && $at !== Instant::NEVER));
        sort($instants);

        return $instants;
    }

    /** @return list<int> */
    private function ofViewer(Viewer $viewer): array
    {
        $instants = LabelTimes::of($viewer, $this->prepared->plan->offers)->instants();
        foreach ($viewer->passes as $pass) {
            $offer = $this->prepared->offerOf($pass);
            if ($offer !== null) {
                $schedule = $this->prepared->schedule($pass, $offer);
                array_push($instants, $pass->from, $pass->until, ...$schedule->release, ...$schedule->closing);
            }
        }
        foreach ($viewer->grants as $grant) {
            array_push($instants, $grant->from, $grant->until);
        }

        return $instants;
    }

    /** @return list<int> */
    private static function datesIn(Condition $condition): array
    {
        return match (true) {
            $condition instanceof AllOf, $condition instanceof AnyOf => array_merge([], ...array_map(self::datesIn(...), $condition->conditions)),
            $condition instanceof NotSo => self::datesIn($condition->condition),
            $condition instanceof FromInstant, $condition instanceof UntilInstant => [$condition->at],
            default => [],
        };
    }
}
