<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Compiled\Conditions\Audiences;
use SilentKeep\Core\Compiled\Conditions\SampleParts;
use SilentKeep\Core\Compiled\Conditions\UndatedAudience;
use SilentKeep\Core\Compiled\Order\Itinerary;
use SilentKeep\Core\Compiled\Order\Precedence;
use SilentKeep\Core\Compiled\Order\Progress;
use SilentKeep\Core\Deciding\PreparedCourse;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Viewer;

/** A course laid out for deciding it for many viewers, with what depends on who looks, each reckoned once. */
final class CompiledCourse extends CourseMasks
{
    /** How many answers of one kind are kept: labels and conditions on what is done can make as many as there are viewers. */
    private readonly int $mostKept;

    private readonly int $mostItineraries;

    /** How much progress is kept: those who have done the same have the same. */
    private readonly int $mostProgress;

    public readonly MainPlan $mainPlan;

    /** Whether an offer of the plan, of this course or another, gives a label that a condition names. */
    public readonly bool $offersGiveLabels;

    /** @var array<string, BearingLabels> of viewers whose labels never change, by these */
    private array $labels = [];

    /** @var array<array-key, Profile> by offer */
    private array $profiles = [];

    private readonly Audiences $audiences;

    private readonly SampleParts $sampleParts;

    /** @var array<string, Footing> by what they depend on */
    private array $footings = [];

    /** @var array<string, Footing> by what they say */
    private array $footingsTold = [];

    private int $named = 0;

    private ?Doors $doors = null;

    /** @var array<string, ?Itinerary> by footing, and the part of it */
    private array $itineraries = [];

    /** @var array<string, Progress> by precedence and what is done */
    private array $progress = [];

    /** @var array<string, string> by footing and what is done */
    private array $lasting = [];

    /** @var array<string, string> */
    private array $samplesFor = [];

    /** @var array<string, Precedence> by what counts */
    private array $precedences = [];

    public function __construct(PreparedCourse $prepared)
    {
        parent::__construct($prepared);
        $this->mostKept = max(100, intdiv(1_500_000, 1 + $this->count));
        $this->mostItineraries = max(50, intdiv(300_000, 1 + $this->count));
        $this->mostProgress = max(100, intdiv(1_000_000, 100 + $this->count));
        $this->mainPlan = new MainPlan($this);
        $this->audiences = new Audiences($this, $this->mostKept);
        $this->sampleParts = new SampleParts($this, $this->audiences);
        $given = false;
        foreach ($prepared->plan->offers as $offer) {
            $given = $given || array_filter($offer->labels, fn (string $label): bool => isset($this->conditions->labels[$label])) !== [];
        }
        $this->offersGiveLabels = $given;
    }

    public function doors(): Doors
    {
        return $this->doors ??= new Doors($this);
    }

    /** @param  string  $eligible  what counts for a pass */
    public function precedence(string $eligible): Precedence
    {
        return Keep::in($this->precedences, $eligible, $this->mostKept, fn (): Precedence => new Precedence($this, (string) ++$this->named, $eligible));
    }

    public function labelsOf(Viewer $viewer): BearingLabels
    {
        // Most viewers have the same labels all along, and as many others do: thousands of them are decided in a row.
        if ($viewer->timedLabels !== [] || $this->offersGiveLabels) {
            return new BearingLabels($this, $viewer);
        }
        if ($viewer->labels === [] && isset($this->labels[''])) {
            return $this->labels[''];
        }
        $told = '';
        foreach ($viewer->labels as $label) {
            // With its length, so that no text of one label can look like two.
            $told .= strlen($label).':'.$label;
        }

        return $this->labels[$told] ?? Keep::in($this->labels, $told, $this->mostKept, fn (): BearingLabels => new BearingLabels($this, $viewer));
    }

    /** @return ?Profile what the holders of an offer have in common; null where it is of another course */
    public function profile(string $offer): ?Profile
    {
        return $this->profiles[$offer] ?? $this->madeProfile($offer);
    }

    private function madeProfile(string $key): ?Profile
    {
        $offer = $this->prepared->plan->offer($key);
        if ($offer === null || $offer->course !== $this->prepared->course->key) {
            return null;
        }
        $pacing = null;
        foreach ($this->profiles as $other) {
            $pacing = $other->offer->plan === $offer->plan ? $other->pacing : $pacing;
        }

        return $this->profiles[$key] = new Profile($this, $offer, $pacing);
    }

    /**
     * @param  string  $done  mask
     * @param  ?UndatedAudience  $undated  of these people with the labels they have then, where it is known already
     */
    public function footing(Profile $profile, BearingLabels $labels, string $done, int $at, ?UndatedAudience $undated): Footing
    {
        if ($undated !== null) {
            return $this->footingOf($profile, $labels, $done, $at, $undated);
        }
        $key = $this->conditions->none ? $profile->offer->key : $profile->offer->key."\0".$labels->stand($at);

        return $this->footings[$key] ?? Keep::in($this->footings, $key, $this->mostKept, fn (): Footing => $this->footingOf($profile, $labels, $done, $at, $this->undated($profile, $labels, $done, $at)));
    }

    private function footingOf(Profile $profile, BearingLabels $labels, string $done, int $at, UndatedAudience $undated): Footing
    {
        $possible = $undated->possible & $this->audiences->dated($this->audiences->notSettledAgainst($profile->offer), $labels, $done, $at);
        $audience = $undated->holding & $this->audiences->dated($this->audiences->holding(ViewerKind::Learner, $profile->offer), $labels, $done, $at);
        // Most dates in conditions, and most of what is done, change neither for most people.
        $told = $audience.$possible.$profile->offer->key;

        return $this->footingsTold[$told] ?? Keep::in($this->footingsTold, $told, $this->mostKept, fn (): Footing => new Footing(
            $this, $profile, (string) ++$this->named, $this->precedence($profile->covered & $this->published & $this->notBoards & $possible), $audience,
        ));
    }

    /**
     * What conditions say of the holders of an offer that no date changes.
     *
     * @param  string  $done  mask
     */
    public function undated(Profile $profile, BearingLabels $labels, string $done, int $at): UndatedAudience
    {
        return new UndatedAudience(
            $this->audiences->undated($this->audiences->notSettledAgainst($profile->offer), $labels, $done, $at),
            $this->audiences->undated($this->audiences->holding(ViewerKind::Learner, $profile->offer), $labels, $done, $at),
        );
    }

    /**
     * Where every condition on the path holds.
     *
     * @param  string  $done  mask
     */
    public function audience(ViewerKind $kind, ?Offer $offer, BearingLabels $labels, string $done, int $at): string
    {
        return $this->audiences->of($this->audiences->holding($kind, $offer), $labels, $done, $at);
    }

    /**
     * To ask only: whoever follows somebody on their way makes one of their own.
     *
     * @param  string  $done  mask
     */
    public function progress(Precedence $precedence, string $done): Progress
    {
        $key = $precedence->name.$done;
        if (isset($this->progress[$key])) {
            return $this->progress[$key];
        }
        if (count($this->progress) >= $this->mostProgress) {
            $this->progress = [];
        }

        return $this->progress[$key] = new Progress($this, $precedence, $done);
    }

    /**
     * What passes all gates but those of time.
     *
     * @param  string  $done  mask
     */
    public function lasting(Footing $footing, string $done): string
    {
        $key = $footing->name.$done;
        if (isset($this->lasting[$key])) {
            return $this->lasting[$key];
        }
        if (count($this->lasting) >= $this->mostProgress) {
            $this->lasting = [];
        }

        return $this->lasting[$key] = $footing->inReach & $this->progress($footing->precedence, $done)->passes();
    }

    /**
     * In which order all that the holders may come to opens; null: things wait for each other in a circle.
     *
     * @param  ?string  $about  mask: only the part in which anything depends on when these open
     */
    public function itinerary(Footing $footing, ?string $about = null): ?Itinerary
    {
        $key = $footing->name.' '.$about;
        if (! array_key_exists($key, $this->itineraries)) {
            $itinerary = $about === null ? Itinerary::of($this, $footing->precedence, $footing->inReach) : $this->itinerary($footing)?->partOf($about);
            if (count($this->itineraries) >= $this->mostItineraries) {
                $this->itineraries = [];
            }
            $this->itineraries[$key] = $itinerary;
        }

        return $this->itineraries[$key];
    }

    /**
     * What is part of a sample for a viewer, who may look at it or must sign in first.
     *
     * @param  string  $done  mask
     */
    public function samplesFor(bool $signedIn, BearingLabels $labels, string $done, int $at): string
    {
        if ($this->prepared->samples->unconditional) {
            return $this->samples;
        }
        $key = (int) $signedIn.$labels->stand($at).$this->audiences->doneTold($done);

        return $this->samplesFor[$key] ?? Keep::in($this->samplesFor, $key, $this->mostKept, fn (): string => $this->sampleParts->for($signedIn, $labels, $done, $at));
    }

    /**
     * The instants at which anything but a pass's own steps may change for everybody, in no order.
     *
     * @param  bool  $shutting  only those at which something may shut
     * @return list<int>
     */
    public function instants(bool $shutting): array
    {
        $course = $this->prepared->course;
        $instants = [...$this->conditions->instants, ...$this->mainPlan->instants($shutting)];
        if ($course->opens !== null && ! $shutting) {
            $instants[] = $course->opens;
        }
        if ($course->closes !== null) {
            $instants[] = $course->closes;
        }

        return $instants;
    }
}
