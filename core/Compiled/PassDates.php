<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Compiled\Dates\FixedDates;
use SilentKeep\Core\Compiled\Dates\Rungs;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;

/** When one pass releases things and closes them again, each worked out when it is asked for. */
abstract class PassDates
{
    /** At how many instants what has come is remembered: most often it is asked again at the one or two last. */
    private const MOST_STAGES = 4;

    /** The instant from which it is paced. */
    private readonly int $start;

    /** Where all comes on dates that are the same for others. */
    private readonly ?FixedDates $fixed;

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

    public function __construct(protected readonly CompiledCourse $course, public readonly Pass $pass, public readonly Pacing $pacing)
    {
        $opens = $course->prepared->course->opens;
        $start = $pass->pacedFrom ?? $pass->from;
        $this->start = $opens !== null && $opens > $start ? $opens : $start;
        $this->fixed = $pacing->fixed !== null && $pacing->fixed->holdFor($this->start, $pass->from) ? $pacing->fixed : null;
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
        return $this->closings ??= $this->fixed !== null ? $this->fixed->closings : ($this->pacing->everCloses ? $this->pacing->steps->closing->instants($this->releases(), $this->pass->from) : [Instant::NEVER]);
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
        if ($this->isFixedFrom($at) && $this->fixed === $other->fixed && $other->isFixedFrom($at)) {
            return true;
        }

        return $this->pacing === $other->pacing && Rungs::areAlike($this->releases(), $other->releases(), $at) && Rungs::areAlike($this->closings(), $other->closings(), $at);
    }

    /** Whether all that comes after an instant is what comes for others. */
    private function isFixedFrom(int $at): bool
    {
        return $this->fixed !== null && $this->start <= $at;
    }

    /** @return array{list<int>, list<int>, int} as {@see FixedDates::ahead()} */
    public function stepsAhead(int $at): array
    {
        if ($this->fixed !== null && $this->isFixedFrom($at)) {
            return $this->fixed->ahead($at);
        }

        // When the pass has ended it does not matter any more what comes.
        return [...Rungs::ahead($this->pacing->everCloses ? [...$this->releases(), ...$this->closings()] : $this->releases(), $at, $this->pass->until), 0];
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
            $this->closed = match (true) {
                ! $this->mayHaveClosed($at) => $this->course->none,
                $this->fixed !== null => $this->pacing->closedOnDates($this->fixed, $at),
                default => $this->pacing->closed($this->closedSteps($at)),
            };
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

    /** The instants of all steps that lie ahead, as a text: whose is the same, for them the same comes. Empty where none does. */
    public function datesAhead(int $at): string
    {
        if ($this->aheadOf === $at) {
            return $this->datesAhead;
        }
        $steps = $this->pacing->steps;
        $this->aheadOf = $at;
        $this->datesAhead = ($steps->haveAllCome($this->start, $at) ? '' : Rungs::aheadTold($this->releases(), $at))
            .($this->pacing->everCloses ? ';'.Rungs::aheadTold($this->closings(), $at) : '');

        return $this->datesAhead;
    }

    /** Lessons and parts that time alone will have released, and not closed at once, at or after an instant. */
    public function willOpen(int $at): string
    {
        $fixed = $this->fixed !== null && $this->isFixedFrom($at);
        $will = $fixed ? $this->pacing->toDoOnDates($this->fixed) : $this->pacing->everToDo;
        $closed = $this->closed($at);
        if ($closed !== $this->course->none) {
            $will &= $closed ^ $this->course->all;
        }
        if ($fixed || $this->pacing->mayCloseFirst === []) {
            return $will;
        }
        $releases = $this->releases();
        $closings = $this->closings();
        $releaseStep = $this->pacing->releaseStep;
        $closingStep = $this->pacing->closingStep;
        foreach ($this->pacing->mayCloseFirst as $item) {
            if ($closings[$closingStep[$item]] <= $releases[$releaseStep[$item]]) {
                $will[$item] = Mask::OUT;
            }
        }

        return $will;
    }
}
