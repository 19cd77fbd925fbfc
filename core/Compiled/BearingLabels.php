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

    /** @var array<int, string> by the stretch */
    private array $stands = [];

    /** @var array<int, string> by how many of the instants are past */
    private array $labelsTold = [];

    private ?int $stretchAt = null;

    private int $stretch = 0;

    public function __construct(private readonly CourseMasks $course, Viewer $viewer)
    {
        $this->times = LabelTimes::of($viewer, $course->prepared->plan->offers, $course->conditions->labels);
        $this->instants = $this->times->instants();
    }

    /** @return list<string> */
    public function at(int $at): array
    {
        return $this->held[$this->past($at)] ??= $this->times->at($at);
    }

    /** The same, with the stretch between the dates in conditions, as one text: whose is the same, for them the same conditions hold. */
    public function stand(int $at): string
    {
        $stretch = $this->stretch($at);

        return $this->stands[$stretch] ?? $this->stands[$stretch] = $this->told($at);
    }

    private function told(int $at): string
    {
        return $this->course->conditions->stretch($at).$this->labelsTold($at);
    }

    /** The labels alone as one text. */
    public function labelsTold(int $at): string
    {
        $past = $this->instants === [] ? 0 : $this->past($at);

        return $this->labelsTold[$past] ?? $this->labelsTold[$past] = $this->listed($at);
    }

    private function listed(int $at): string
    {
        $listed = '';
        foreach ($this->at($at) as $label) {
            // With its length, so that no text of one label can look like two.
            $listed .= ','.strlen($label).':'.$label;
        }

        return $listed;
    }

    /** Which stretch between the dates in conditions and the changes of labels an instant lies in. */
    public function stretch(int $at): int
    {
        // Each pass asks at the same instant.
        if ($at !== $this->stretchAt) {
            $this->stretchAt = $at;
            $stretch = $this->course->conditions->instants === [] ? 0 : $this->course->conditions->stretch($at);
            $this->stretch = $this->instants === [] ? $stretch : $stretch * (count($this->instants) + 1) + $this->past($at);
        }

        return $this->stretch;
    }

    /** How many changes of labels are past. */
    public function past(int $at): int
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
