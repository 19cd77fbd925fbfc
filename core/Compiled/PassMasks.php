<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;

/** One pass of one holder, with its dates worked out. */
final class PassMasks
{
    /** @var list<int> by release step */
    public readonly array $releaseAt;

    /** @var list<int> by closing step */
    public readonly array $closingAt;

    private int $lastingStretch = -1;

    /** What passes all gates but those of time, within one stretch in which neither a date nor a label changes a condition. */
    private string $lasting = '';

    private int $progressStretch = -1;

    private ?Progress $progress = null;

    /** @param  array<int, true>  $done */
    public function __construct(
        private readonly CompiledCourse $course,
        public readonly Pass $pass,
        public readonly Profile $profile,
        private readonly BearingLabels $labels,
        private readonly array $done,
        private readonly string $doneMask,
    ) {
        $start = max($pass->pacingStart(), $course->prepared->course->opens ?? PHP_INT_MIN);
        $this->releaseAt = $profile->releaseInstants($start);
        $this->closingAt = $profile->closingInstants($this->releaseAt, $pass->from);
    }

    public function isActive(int $at): bool
    {
        return $this->pass->state === PassState::Active && $this->pass->from <= $at && $at < $this->pass->until;
    }

    /**
     * @param  bool  $shutting  only those at which something may shut
     * @return list<int> in no order
     */
    public function instants(bool $shutting): array
    {
        return $shutting ? [$this->pass->until, ...$this->closingAt] : [$this->pass->from, $this->pass->until, ...$this->releaseAt, ...$this->closingAt];
    }

    public function released(int $at): string
    {
        return $this->profile->released($this->releaseAt, $at);
    }

    public function closed(int $at): string
    {
        $closed = $this->course->none;
        foreach ($this->closingAt as $step => $instant) {
            if ($instant <= $at) {
                $closed |= $this->profile->closes[$step];
            }
        }

        return $closed;
    }

    /** What passes scope, tier, audience, release and closing. */
    public function timely(int $at, ViewerKind $kind): string
    {
        $timely = $this->profile->covered & $this->released($at);
        if (! $this->course->unconditional) {
            $timely &= $this->audience($at, $kind);
        }
        foreach ($this->closingAt as $step => $instant) {
            if ($instant <= $at) {
                $timely &= $this->profile->closes[$step] ^ $this->course->all;
            }
        }

        return $timely;
    }

    /** What it opens, its time as a pass and the course gate left aside. */
    public function opens(int $at, ViewerKind $kind): string
    {
        if ($kind !== ViewerKind::Learner) {
            return $this->timely($at, $kind) & $this->progress($at)->passes();
        }
        $stretch = $this->labels->stretch($at);
        if ($stretch !== $this->lastingStretch) {
            $this->lastingStretch = $stretch;
            $this->lasting = $this->profile->covered & $this->audience($at, $kind) & $this->progress($at)->passes();
        }
        $opens = $this->lasting & $this->released($at);
        foreach ($this->closingAt as $step => $instant) {
            if ($instant <= $at) {
                $opens &= $this->profile->closes[$step] ^ $this->course->all;
            }
        }

        return $opens;
    }

    public function audience(int $at, ViewerKind $kind): string
    {
        return $this->course->audience($kind, $this->profile->offer, $this->labels->at($at), $this->done, $at);
    }

    public function progress(int $at): Progress
    {
        $stretch = $this->labels->stretch($at);
        if ($this->progress === null || $stretch !== $this->progressStretch) {
            $this->progressStretch = $stretch;
            $this->progress = new Progress($this->course, $this->eligible($at), $this->doneMask);
        }

        return $this->progress;
    }

    public function eligible(int $at): string
    {
        return $this->profile->covered & $this->course->published & $this->course->notBoards
            & $this->course->possible($this->profile->offer, $this->labels->at($at), $this->done, $at);
    }

    /** What time alone will have released, and not closed at once, at or after an instant. */
    public function willOpen(int $at): string
    {
        $will = $this->profile->held ^ $this->course->all;
        foreach ($this->closingAt as $closing => $instant) {
            if ($instant === Instant::NEVER) {
                continue;
            }
            $flags = '';
            foreach ($this->releaseAt as $release) {
                $flags .= $instant <= $at || $instant <= $release ? Mask::IN : Mask::OUT;
            }
            $will &= ($this->profile->closes[$closing] & $this->profile->ofSteps($flags)) ^ $this->course->all;
        }

        return $will;
    }

    /**
     * Scope, tier and audience, which for a viewer who goes by dates alone never change.
     */
    public function inReach(): string
    {
        return $this->profile->covered & $this->audience($this->pass->from, ViewerKind::Learner);
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
        foreach ($this->releaseAt as $step => $release) {
            $first = max($release, $from);
            if ($first >= $before) {
                continue;
            }
            $items = $this->profile->releases[$step];
            foreach ($this->closingAt as $closing => $instant) {
                if ($instant <= $first) {
                    $items &= $this->profile->closes[$closing] ^ $this->course->all;
                }
            }
            $timely |= $items;
        }

        return $timely;
    }
}
