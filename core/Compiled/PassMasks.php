<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Compiled\Conditions\UndatedAudience;
use SilentKeep\Core\Compiled\Order\Progress;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;

/** One pass of one holder: its dates, and what it opens. */
final class PassMasks extends PassDates
{
    private int $footingStretch = -1;

    private ?Footing $footing = null;

    /** @var array<int, UndatedAudience> by how many changes of labels are past */
    private array $undated = [];

    private ?Footing $lastingOn = null;

    private string $lasting = '';

    /** @param  string  $done  mask */
    public function __construct(CompiledCourse $course, Pass $pass, public readonly Profile $profile, private readonly BearingLabels $labels, private readonly string $done)
    {
        parent::__construct($course, $pass, $profile->pacing);
    }

    /** What passes scope, tier, audience, release and closing. */
    public function timely(int $at, ViewerKind $kind): string
    {
        return ($kind === ViewerKind::Learner ? $this->footing($at)->inReach : $this->profile->covered & $this->audience($at, $kind)) & $this->due($at);
    }

    /** What it opens, its time as a pass and the course gate left aside. */
    public function opens(int $at, ViewerKind $kind): string
    {
        return $this->due($at) & $this->lasting($at, $kind);
    }

    /** What passes all gates but those of time, for as long as neither a date nor a label changes a condition. */
    public function lasting(int $at, ViewerKind $kind): string
    {
        if ($kind !== ViewerKind::Learner) {
            return $this->profile->covered & $this->audience($at, $kind) & $this->progress($at)->passes();
        }
        $footing = $this->footing($at);
        if ($footing !== $this->lastingOn) {
            $this->lastingOn = $footing;
            $this->lasting = $this->course->lasting($footing, $this->done);
        }

        return $this->lasting;
    }

    public function footing(int $at): Footing
    {
        $stretch = $this->labels->stretch($at);
        if ($this->footing === null || $stretch !== $this->footingStretch) {
            $this->footingStretch = $stretch;
            $this->footing = $this->course->footing($this->profile, $this->labels, $this->done, $at, $this->undated($at));
        }

        return $this->footing;
    }

    /** Where conditions ask what is done, this pass is alone with what it is told; else others share it. */
    private function undated(int $at): ?UndatedAudience
    {
        return $this->course->conditions->whatIsDone ? $this->undated[$this->labels->past($at)] ??= $this->course->undated($this->profile, $this->labels, $this->done, $at) : null;
    }

    public function audience(int $at, ViewerKind $kind): string
    {
        return $this->course->audience($kind, $this->profile->offer, $this->labels, $this->done, $at);
    }

    public function progress(int $at): Progress
    {
        return $this->course->progress($this->footing($at)->precedence, $this->done);
    }

    public function eligible(int $at): string
    {
        return $this->footing($at)->precedence->eligible;
    }

    /**
     * The stretch in which it may open anything: while it lasts and the course's season does. Half-open.
     *
     * @return array{int, int}
     */
    public function stretch(): array
    {
        $course = $this->course->prepared->course;
        if ($this->pass->state !== PassState::Active) {
            return [Instant::NEVER, Instant::NEVER];
        }

        return [max($this->pass->from, $course->opens ?? PHP_INT_MIN), min($this->pass->until, $course->closes ?? Instant::NEVER)];
    }

    /** What is released and not closed at some instant of `[$from, $before)`, as far as this pass may open anything. */
    public function timelyWithin(int $from, int $before): string
    {
        [$begins, $ends] = $this->stretch();
        $from = max($from, $begins);
        $before = min($before, $ends);
        $timely = $this->course->none;
        $closings = $this->closings();
        foreach ($this->releases() as $step => $release) {
            $first = max($release, $from);
            if ($first >= $before) {
                continue;
            }
            foreach ($this->pacing->releases[$step] as $item) {
                if ($first < $closings[$this->pacing->closingStep[$item]]) {
                    $timely[$item] = Mask::IN;
                }
            }
        }

        return $timely;
    }
}
