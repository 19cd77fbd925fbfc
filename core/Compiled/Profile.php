<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Compiled\Dates\StepNumbers;
use SilentKeep\Core\Compiled\Dates\Steps;
use SilentKeep\Core\Viewing\Offer;

/** What all holders of an offer have in common: what it covers, and the steps in which it is released and closed. */
final class Profile
{
    /** How many answers of one kind are kept; holders in the same stage of a plan have the same ones. */
    private const MOST_KEPT = 400;

    public readonly string $inScope;

    public readonly string $inTier;

    public readonly string $covered;

    /** The failing gates that depend on neither time nor work, as {@see Why} has them: scope 1, tier 2, never released 16. */
    public readonly string $failingAlways;

    /** Released at some time, whenever the pass begins. */
    public readonly string $ever;

    /** The lessons and parts among it. */
    public readonly string $everToDo;

    /** Released never. */
    public readonly string $held;

    public readonly Steps $steps;

    /** Whether anything closes again. */
    public readonly bool $everCloses;

    /** What closes again. */
    public readonly string $closing;

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

    public function __construct(private readonly CourseMasks $course, public readonly Offer $offer)
    {
        $coverage = $course->prepared->coverage($offer);
        $this->inScope = Mask::of($coverage->inScope);
        $this->inTier = Mask::of($coverage->inTier);
        $this->covered = $this->inScope & $this->inTier;
        $numbers = new StepNumbers($course, $offer, $this->covered);
        $this->steps = $numbers->steps;
        $this->everCloses = $this->steps->closing->rules !== [];
        $this->releaseStep = $numbers->releaseStep;
        $this->closingStep = $numbers->closingStep;
        $this->closing = Mask::of(array_map(static fn (int $step): bool => $step > 0, $this->closingStep));
        $this->releases = self::members($this->releaseStep);
        $this->byRelease = new Gather($this->releaseStep, $course->count);
        $this->ever = $this->byRelease->from($numbers->steps->ever);
        $this->everToDo = $this->ever & $course->lessonsAndParts;
        $this->held = $this->ever ^ $course->all;
        $this->failingAlways = Mask::as($this->inScope ^ $course->all, 1) | Mask::as($this->inTier ^ $course->all, 2) | Mask::as($this->held, 16);
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
}
