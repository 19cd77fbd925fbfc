<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Rules\Held;
use SilentKeep\Core\Time\Instant;

/** The times of the main plan, as they bind those who come without a pass. */
final readonly class DatedTimes
{
    public function __construct(private Course $course)
    {
    }

    /**
     * @param  ?Admission  $door  the door by which the viewer comes in; null: open to anyone, where relative openings are not looked at
     * @return list<Reason> each that applies, in the order held, not_yet, closed; empty: allowed
     */
    public function objections(int $item, int $at, ?Admission $door): array
    {
        $plan = $this->course->mainPlan;
        if ($plan === null) {
            return [];
        }
        $held = $notYet = $closed = false;
        foreach ($this->course->outline->path[$item] as $step) {
            $opening = $plan->opening($step);
            $closing = $plan->closing($step);
            $dated = $opening->dated();
            $held = $held || $dated === Instant::NEVER;
            $notYet = $notYet
                || ($dated !== null && $dated !== Instant::NEVER && $at < $dated)
                || ($door !== null && $opening->isRelative() && ! self::overruled($step, $door->deciding[$item]));
            $closed = $closed || ($closing instanceof ClosesOn && $at >= $closing->at);
        }

        return [...($held ? [Reason::Held] : []), ...($notYet ? [Reason::NotYet] : []), ...($closed ? [Reason::Closed] : [])];
    }

    /** Whether the permission was given at the item with the relative opening, or below it. */
    private static function overruled(int $step, ?int $deciding): bool
    {
        return $deciding !== null && $deciding >= $step;
    }
}
