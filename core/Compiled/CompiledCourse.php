<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Conditions\Audiences;
use SilentKeep\Core\Conditions\MomentFacts;
use SilentKeep\Core\Deciding\PreparedCourse;
use SilentKeep\Core\Rules\Condition;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\Offer;

/** A course laid out for deciding it for many viewers, with what depends on who looks, each reckoned once. */
final class CompiledCourse extends CourseMasks
{
    private readonly MainPlan $mainPlan;

    /** @var array<array-key, Profile> by offer */
    private array $profiles = [];

    /** @var array<string, string> */
    private array $audiences = [];

    /** @var array<string, string> */
    private array $possible = [];

    /** @var array<string, string> */
    private array $samplesFor = [];

    /** @var array<string, Precedence> by what counts */
    private array $turns = [];

    /** Conditions on what is done can make as many sets of what counts as there are viewers. */
    private const MOST_TURNS = 500;

    public function __construct(PreparedCourse $prepared)
    {
        parent::__construct($prepared);
        $this->mainPlan = new MainPlan($this);
    }

    /** @param  string  $eligible  what counts for a pass */
    public function turns(string $eligible): Precedence
    {
        if (count($this->turns) >= self::MOST_TURNS && ! isset($this->turns[$eligible])) {
            $this->turns = [];
        }

        return $this->turns[$eligible] ??= new Precedence($this, $eligible);
    }

    public function profile(Offer $offer): Profile
    {
        return $this->profiles[$offer->key] ??= new Profile($this, $offer);
    }

    /**
     * Where every condition on the path holds.
     *
     * @param  list<string>  $labels  that bear on this course
     * @param  array<int, true>  $done
     */
    public function audience(ViewerKind $kind, ?Offer $offer, array $labels, array $done, int $at): string
    {
        if ($this->unconditional) {
            return $this->all;
        }
        $facts = fn (): MomentFacts => MomentFacts::asItStands($this->outline, $labels, $done, $at, $kind, $offer, $offer === null ? null : $this->prepared->coverage($offer));
        if ($this->conditionsOnDone) {
            return Mask::of(Audiences::holding($this->outline, $facts()));
        }
        $key = implode("\0", [$kind->value, $this->stretch($at), $offer === null ? '' : '='.$offer->key, ...$labels]);

        return $this->audiences[$key] ??= Mask::of(Audiences::holding($this->outline, $facts()));
    }

    /**
     * Where no condition on the path is settled against the holder of a pass.
     *
     * @param  list<string>  $labels  that bear on this course
     * @param  array<int, true>  $done
     */
    public function possible(Offer $offer, array $labels, array $done, int $at): string
    {
        if ($this->unconditional) {
            return $this->all;
        }
        $facts = fn (): MomentFacts => MomentFacts::asItMayCome($this->outline, $labels, $done, $at, $offer, $this->prepared->coverage($offer));
        if ($this->conditionsOnDone) {
            return Mask::of(Audiences::notSettledAgainst($this->outline, $facts()));
        }
        $key = implode("\0", [$this->stretch($at), $offer->key, ...$labels]);

        return $this->possible[$key] ??= Mask::of(Audiences::notSettledAgainst($this->outline, $facts()));
    }

    /**
     * What is part of a sample for a viewer, who may look at it or must sign in first.
     *
     * @param  list<string>  $labels  that bear on this course
     * @param  array<int, true>  $done
     */
    public function samplesFor(bool $signedIn, array $labels, array $done, int $at): string
    {
        if ($this->prepared->samples->unconditional) {
            return $this->samples;
        }
        $kind = $signedIn ? ViewerKind::Member : ViewerKind::Visitor;
        $reckoned = fn (): string => Mask::of($this->prepared->samples->for(MomentFacts::asItStands($this->outline, $labels, $done, $at, $kind)));
        if ($this->conditionsOnDone) {
            return $reckoned();
        }

        return $this->samplesFor[implode("\0", [$kind->value, $this->stretch($at), ...$labels])] ??= $reckoned();
    }

    /**
     * The instants at which anything may change for everybody, in no order.
     *
     * @param  bool  $shutting  only those at which something may shut
     * @return list<int>
     */
    public function instants(bool $shutting): array
    {
        $course = $this->prepared->course;
        $instants = [...$this->conditionInstants, ...$this->mainPlan->instants($shutting)];
        if ($course->opens !== null && ! $shutting) {
            $instants[] = $course->opens;
        }
        if ($course->closes !== null) {
            $instants[] = $course->closes;
        }

        return $instants;
    }

    public function mainPlan(): MainPlan
    {
        return $this->mainPlan;
    }
}
