<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Compiled\Dates\FixedDates;
use SilentKeep\Core\Compiled\Dates\Rungs;
use SilentKeep\Core\Compiled\Dates\StepNumbers;
use SilentKeep\Core\Compiled\Dates\Steps;
use SilentKeep\Core\Viewing\Offer;

/** In which steps a release plan opens the items of a course and closes them again: what all offers that go by it have in common. */
final class Pacing
{
    /** How many answers of one kind are kept; holders in the same stage of a plan have the same ones. */
    private const MOST_KEPT = 400;

    /** Whether it is another for an offer that covers something else: items count from the one before among those that are covered. */
    public readonly bool $dependsOnCoverage;

    /** Released at some time, whenever the pass begins. */
    public readonly string $ever;

    /** The lessons and parts among it. */
    public readonly string $everToDo;

    /** Released never. */
    public readonly string $held;

    public readonly Steps $steps;

    /** Where all comes on dates. */
    public readonly ?FixedDates $fixed;

    /** Whether anything closes again. */
    public readonly bool $everCloses;

    /** What closes again. */
    public readonly string $closing;

    /** @var list<int> items that may close before they are released, or as they are: not so many days after */
    public readonly array $mayCloseFirst;

    /** @var list<int> the release step of each item */
    public readonly array $releaseStep;

    /** @var list<int> the closing step of each item */
    public readonly array $closingStep;

    /** @var list<list<int>> by release step: the items, in reading order */
    public readonly array $releases;

    private readonly Gather $byRelease;

    private ?Gather $byClosing = null;

    /** @var ?list<list<int>> */
    private ?array $closes = null;

    /** @var array<string, array{string, string}> by which steps have come */
    private array $stages = [];

    private ?string $toDoOnDates = null;

    private ?int $closedOnDatesAt = null;

    private string $closedOnDates = '';

    /** @param  string  $covered  by the offer */
    public function __construct(private readonly CourseMasks $course, Offer $offer, string $covered)
    {
        $numbers = new StepNumbers($course, $offer, $covered);
        $this->dependsOnCoverage = $numbers->dependOnCoverage;
        $this->steps = $numbers->steps;
        $this->fixed = $this->steps->fixed();
        $this->everCloses = $this->steps->closing->rules !== [];
        $this->releaseStep = $numbers->releaseStep;
        $this->closingStep = $numbers->closingStep;
        $this->closing = Mask::of(array_map(static fn (int $step): bool => $step > 0, $this->closingStep));
        $this->mayCloseFirst = array_keys(array_filter($this->closingStep, fn (int $closing, int $item): bool => $this->steps->closing->mayComeBefore($closing, $this->releaseStep[$item]), ARRAY_FILTER_USE_BOTH));
        $this->releases = self::members($this->releaseStep);
        $this->byRelease = new Gather($this->releaseStep, $course->count);
        $this->ever = $this->byRelease->from($numbers->steps->ever);
        $this->everToDo = $this->ever & $course->lessonsAndParts;
        $this->held = $this->ever ^ $course->all;
    }

    /**
     * @param  list<int>  $stepOf
     * @return list<list<int>>
     */
    private static function members(array $stepOf): array
    {
        $members = array_fill(0, 1 + max([0, ...$stepOf]), []);
        foreach ($stepOf as $at => $step) {
            $members[$step][] = $at;
        }

        return $members;
    }

    /**
     * @param  string  $steps  a byte a release step: whether it has come
     * @return array{string, string} what is released; what is not yet, as {@see Why} has it: 8
     */
    public function stage(string $steps): array
    {
        if (isset($this->stages[$steps])) {
            return $this->stages[$steps];
        }
        if (count($this->stages) >= self::MOST_KEPT) {
            $this->stages = [];
        }
        $released = $this->byRelease->from($steps);

        return $this->stages[$steps] = [$released, Mask::as($released ^ $this->ever, 8)];
    }

    /** @return list<list<int>> by closing step: the items, in reading order */
    public function closes(): array
    {
        return $this->closes ??= self::members($this->closingStep);
    }

    /**
     * What is closed.
     *
     * @param  string  $steps  a byte a closing step: whether it has come
     */
    public function closed(string $steps): string
    {
        $this->byClosing ??= new Gather($this->closingStep, $this->course->count);

        return $this->byClosing->from($steps);
    }

    /** What is closed of those for whom these dates hold. */
    public function closedOnDates(FixedDates $dates, int $at): string
    {
        if ($this->closedOnDatesAt !== $at) {
            $this->closedOnDatesAt = $at;
            $this->closedOnDates = $this->closed(Rungs::oneByOne($dates->closings, $at));
        }

        return $this->closedOnDates;
    }

    /** Lessons and parts that are released on some date, and not closed at once: what is released as a pass begins has closed before, or is open for a while. */
    public function toDoOnDates(FixedDates $dates): string
    {
        if ($this->toDoOnDates === null) {
            $toDo = $this->everToDo;
            foreach ($this->mayCloseFirst as $item) {
                if ($dates->closings[$this->closingStep[$item]] <= $dates->dates[$this->releaseStep[$item]]) {
                    $toDo[$item] = Mask::OUT;
                }
            }
            $this->toDoOnDates = $toDo;
        }

        return $this->toDoOnDates;
    }
}
