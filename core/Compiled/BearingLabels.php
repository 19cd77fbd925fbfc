<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Viewing\LabelTimes;
use SilentKeep\Core\Viewing\Viewer;

/** The labels of one viewer that a condition of the course names, and the stretches of time within which they stay the same. */
final class BearingLabels
{
    /** @var list<int> at which one of them may come or go, ascending; of most viewers none */
    public readonly array $instants;

    private readonly LabelTimes $times;

    /** @var array<int, list<string>> by how many of the instants are past */
    private array $held = [];

    public function __construct(private readonly CompiledCourse $course, Viewer $viewer)
    {
        $this->times = LabelTimes::of($viewer, $course->prepared->plan->offers, $course->labels);
        $this->instants = $this->times->instants();
    }

    /** @return list<string> */
    public function at(int $at): array
    {
        // Most viewers have the same labels all along: thousands of them are decided in a row.
        if ($this->instants === []) {
            return $this->held[0] ??= $this->times->at($at);
        }

        return $this->held[$this->past($at)] ??= $this->times->at($at);
    }

    /** Which stretch between the dates in conditions and the changes of labels an instant lies in. */
    public function stretch(int $at): int
    {
        return $this->instants === [] ? $this->course->stretch($at) : $this->course->stretch($at) * (count($this->instants) + 1) + $this->past($at);
    }

    private function past(int $at): int
    {
        $past = 0;
        foreach ($this->instants as $instant) {
            if ($instant > $at) {
                break;
            }
            $past++;
        }

        return $past;
    }
}
