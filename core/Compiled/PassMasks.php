<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Compiled\Conditions\UndatedAudience;
use SilentKeep\Core\Compiled\Dates\Rungs;
use SilentKeep\Core\Compiled\Order\Progress;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;

/** One pass of one holder: its dates, each worked out when it is asked for, and what it opens. */
final class PassMasks
{
    /** At how many instants what has come is remembered: most often it is asked again at the one or two last. */
    private const MOST_STAGES = 4;

    public readonly Pacing $pacing;

    /** The instant from which it is paced. */
    private readonly int $start;

    /** @var ?list<int> */
    private ?array $releases = null;

    /** @var ?list<int> */
    private ?array $closings = null;

    /** @var array<int, array{string, string}> by instant */
    private array $stages = [];

    private ?int $closedAt = null;

    private string $closed = '';

    private ?int $aheadOf = null;

    private string $datesAhead = '';

    private int $footingStretch = -1;

    private ?Footing $footing = null;

    /** @var array<int, UndatedAudience> by how many changes of labels are past */
    private array $undated = [];

    private ?Footing $lastingOn = null;

    private string $lasting = '';

    /** @param  string  $done  mask */
    public function __construct(
        private readonly CompiledCourse $course,
        public readonly Pass $pass,
        public readonly Profile $profile,
        private readonly BearingLabels $labels,
        private readonly string $done,
    ) {
        $this->pacing = $profile->pacing;
        $opens = $course->prepared->course->opens;
        $start = $pass->pacedFrom ?? $pass->from;
        $this->start = $opens !== null && $opens > $start ? $opens : $start;
    }

    public function isActive(int $at): bool
    {
        return $this->pass->state === PassState::Active && $this->pass->from <= $at && $at < $this->pass->until;
    }

    /** @return list<int> the instant of each release step */
    public function releases(): array
    {
        return $this->releases ??= $this->pacing->steps->releases($this->start);
    }

    /** @return list<int> the instant of each closing step */
    public function closings(): array
    {
        return $this->closings ??= $this->pacing->everCloses ? $this->pacing->steps->closing->instants($this->releases(), $this->pass->from) : [Instant::NEVER];
    }

    /**
     * @param  bool  $shutting  only those at which something may shut
     * @return list<int> in no order
     */
    public function instants(bool $shutting): array
    {
        return $shutting ? [$this->pass->until, ...$this->closings()] : [$this->pass->from, $this->pass->until, ...$this->releases(), ...$this->closings()];
    }

    public function released(int $at): string
    {
        return $this->stage($at)[0];
    }

    /** What time alone will release later, as {@see Why} has it: 8. */
    public function notYet(int $at): string
    {
        return $this->stage($at)[1];
    }

    /** @return array{string, string} */
    private function stage(int $at): array
    {
        if (isset($this->stages[$at])) {
            return $this->stages[$at];
        }
        if (count($this->stages) >= self::MOST_STAGES) {
            $this->stages = [];
        }
        $steps = $this->pacing->steps;

        return $this->stages[$at] = $this->pacing->stage($steps->released($this->start, $at, $steps->goOneByOne ? $this->releases() : $this->releases));
    }

    /** Whether this one and another release and close the same from an instant on, each while it lasts. */
    public function goesWith(self $other, int $at): bool
    {
        return $this->pacing === $other->pacing && Rungs::areAlike($this->releases(), $other->releases(), $at) && Rungs::areAlike($this->closings(), $other->closings(), $at);
    }

    /** What is released after an instant and not after another. */
    public function releasedBetween(int $after, int $until): string
    {
        return $this->released($after) ^ $this->released($until);
    }

    public function closed(int $at): string
    {
        if ($at !== $this->closedAt) {
            $this->closedAt = $at;
            $this->closed = $this->mayHaveClosed($at) ? $this->pacing->closed($this->closedSteps($at)) : $this->course->none;
        }

        return $this->closed;
    }

    /** @return string a byte a closing step: whether it has come */
    private function closedSteps(int $at): string
    {
        $steps = $this->closings === null ? $this->pacing->steps->closed($this->start, $this->pass->from, $at) : null;

        return $steps ?? Rungs::oneByOne($this->closings(), $at);
    }

    /** What has been released, and not closed. */
    public function due(int $at): string
    {
        $released = $this->released($at);
        $closed = $this->closed($at);

        return $closed === $this->course->none ? $released : $released & ($closed ^ $this->course->all);
    }

    private function mayHaveClosed(int $at): bool
    {
        return $this->pacing->everCloses && $this->pacing->steps->mayHaveClosed($this->start, $at);
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

    /** The instants of all steps that lie ahead, as a text: whose is the same, for them the same comes. Empty where none does. */
    public function datesAhead(int $at): string
    {
        if ($this->aheadOf === $at) {
            return $this->datesAhead;
        }
        $steps = $this->pacing->steps;
        $this->aheadOf = $at;
        $this->datesAhead = ($steps->haveAllCome($this->start, $at) ? '' : self::ahead($this->releases(), $at))
            .($this->pacing->everCloses ? ';'.self::ahead($this->closings(), $at) : '');

        return $this->datesAhead;
    }

    /** @param  list<int>  $instants */
    private static function ahead(array $instants, int $at): string
    {
        foreach ($instants as $step => $instant) {
            if ($instant <= $at) {
                $instants[$step] = 0;
            }
        }

        return pack('q*', ...$instants);
    }

    /** Lessons and parts that time alone will have released, and not closed at once, at or after an instant. */
    public function willOpen(int $at): string
    {
        $will = $this->pacing->everToDo & ($this->closed($at) ^ $this->course->all);
        foreach ($this->pacing->mayCloseFirst as $item) {
            if ($this->closings()[$this->pacing->closingStep[$item]] <= $this->releases()[$this->pacing->releaseStep[$item]]) {
                $will[$item] = Mask::OUT;
            }
        }

        return $will;
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
