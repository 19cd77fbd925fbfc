<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\OwnRoutes;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\Grant;
use SilentKeep\Core\Viewing\Viewer;

/** One viewer of one course with what is done as of an instant; asked about that instant or later ones. */
final class ViewerMasks
{
    /** @var list<PassMasks> of this course, active or not, in the order given */
    public readonly array $passes;

    /** @var list<array{Grant, string}> with what each opens */
    public readonly array $grants;

    /** What is done, modules left out: they are complete by their lessons. */
    public readonly string $done;

    public readonly BearingLabels $labels;

    public readonly ?ViewerMasks $observed;

    /** Whether only passes can lead this viewer anywhere. */
    public readonly bool $byPassesOnly;

    /** @param  int  $asOf  what is done later is ignored */
    public function __construct(public readonly CompiledCourse $course, public readonly Viewer $viewer, int $asOf)
    {
        $done = $course->none;
        $recorded = $course->recorded;
        foreach ($viewer->done as $key => $since) {
            if ($since <= $asOf && ($item = $recorded[$key] ?? null) !== null) {
                $done[$item] = Mask::IN;
            }
        }
        $this->done = $done;
        $this->labels = $course->labelsOf($viewer);
        $passes = [];
        foreach ($viewer->passes as $pass) {
            $profile = $course->profile($pass->offer);
            if ($profile !== null) {
                $passes[] = new PassMasks($course, $pass, $profile, $this->labels, $done);
            }
        }
        $this->passes = $passes;
        $grants = [];
        foreach ($viewer->grants as $grant) {
            $position = $course->outline->positionOf($grant->item);
            if ($position !== null) {
                $grants[] = [$grant, $course->subtree($position)];
            }
        }
        $this->grants = $grants;
        $this->observed = $viewer->observes === null ? null : new self($course, $viewer->observes->asObserved(), $asOf);
        $this->byPassesOnly = $course->byPassesOnly && $grants === [] && $viewer->observes === null && ! $viewer->guest && ! $viewer->staff;
    }

    /**
     * The instants of this viewer's own, and of whom they observe, at which anything may change; in no order.
     *
     * @param  bool  $shutting  only those at which something may shut
     * @return list<int>
     */
    public function instants(bool $shutting = false): array
    {
        // A label that comes may shut as well as open.
        $instants = $this->labels->instants;
        foreach ($this->passes as $pass) {
            array_push($instants, ...$pass->instants($shutting));
        }
        foreach ($this->grants as [$grant]) {
            $instants[] = $grant->until;
            if (! $shutting) {
                $instants[] = $grant->from;
            }
        }

        return $this->observed === null ? $instants : [...$instants, ...$this->observed->instants($shutting)];
    }

    /** By the course gate, as the learner that this viewer is themselves. */
    public function isLetIn(int $at): bool
    {
        return $this->course->alwaysIn || OwnRoutes::courseGate($this->course->prepared, $this->holdsActivePass($at), $at) === null;
    }

    public function holdsActivePass(int $at): bool
    {
        foreach ($this->passes as $pass) {
            if ($pass->isActive($at)) {
                return true;
            }
        }

        return false;
    }

    public function gate(int $at): ?Reason
    {
        return $this->course->alwaysIn ? null : OwnRoutes::courseGate($this->course->prepared, $this->holdsActivePass($at) || ($this->observed !== null && $this->observed->holdsActivePass($at)), $at);
    }

    /** Route 1, drafts and the course gate left aside. */
    public function byPass(int $at, ViewerKind $kind = ViewerKind::Learner): string
    {
        $open = null;
        foreach ($this->passes as $pass) {
            if ($pass->isActive($at)) {
                $opens = $pass->opens($at, $kind);
                $open = $open === null ? $opens : $open | $opens;
            }
        }

        return $open ?? $this->course->none;
    }

    /** Route 2. */
    public function byGrant(int $at): string
    {
        $open = $this->course->none;
        foreach ($this->grants as [$grant, $items]) {
            if ($grant->isActive($at)) {
                $open |= $items;
            }
        }

        return $open;
    }

    /** Route 3. */
    public function asAnyone(int $at, ?ViewerKind $kind = null): string
    {
        if ($this->course->prepared->course->entry !== Entry::Anyone) {
            return $this->course->none;
        }

        return $this->course->withoutTiers & $this->audience($kind ?? $this->anyoneKind(), $at) & $this->course->mainPlan->allows($at, $this->course->none);
    }

    public function anyoneKind(): ViewerKind
    {
        return $this->viewer->signedIn ? ViewerKind::Member : ViewerKind::Visitor;
    }

    /** Route 4. */
    public function asSample(int $at): string
    {
        return $this->viewer->signedIn || ! $this->course->prepared->course->sampleNeedsAccount ? $this->samples($this->viewer->signedIn, $at) : $this->course->none;
    }

    /** What would be part of a sample for somebody who has and has done what this viewer has. */
    public function samples(bool $signedIn, int $at): string
    {
        return $this->course->samplesFor($signedIn, $this->labels, $this->done, $at);
    }

    /** Route 5. */
    public function asObserver(int $at): string
    {
        $door = $this->course->prepared->course->observerDoor;
        if ($this->observed === null || ! $door->open) {
            return $this->course->none;
        }
        if ($door->follow) {
            return $this->course->doors()->observersAdmitted & $this->observed->byOwnRoutes($at, ViewerKind::Observer);
        }

        return $this->course->doors()->observersAdmitted & $this->course->doors()->observerTiers & $this->audience(ViewerKind::Observer, $at)
            & $this->course->mainPlan->allows($at, $this->course->doors()->barsObservers);
    }

    /** Route 6. */
    public function asGuest(int $at): string
    {
        if (! $this->viewer->guest || ! $this->course->guestDoorOpen()) {
            return $this->course->none;
        }

        return $this->course->doors()->guestsAdmitted & $this->course->doors()->guestTiers & $this->audience(ViewerKind::Guest, $at)
            & $this->course->mainPlan->allows($at, $this->course->doors()->barsGuests);
    }

    /**
     * Routes 1 to 3 with the viewer's own course gate, as somebody who follows them has it.
     *
     * @param  ?ViewerKind  $kind  as which conditions are read; null: as their own
     */
    public function byOwnRoutes(int $at, ?ViewerKind $kind): string
    {
        return $this->isLetIn($at)
            ? $this->byPass($at, $kind ?? ViewerKind::Learner) | $this->byGrant($at) | $this->asAnyone($at, $kind)
            : $this->byGrant($at);
    }

    /** On a route without a pass. */
    public function audience(ViewerKind $kind, int $at): string
    {
        return $this->course->audience($kind, null, $this->labels, $this->done, $at);
    }

    /**
     * What each route opens, drafts left aside: those that lead anywhere, in the order in which they are tried.
     *
     * @return array<string, string> by the route's value
     */
    public function routes(int $at): array
    {
        if ($this->viewer->staff) {
            return [Route::Staff->value => $this->course->all];
        }
        $course = $this->course->prepared->course;
        if ($course->state === CourseState::Draft) {
            return [];
        }
        $inSeason = $this->gate($at) === null;
        $routes = [];
        if ($inSeason && $this->passes !== []) {
            $routes[Route::Pass->value] = $this->byPass($at);
        }
        if ($this->grants !== []) {
            $routes[Route::Grant->value] = $this->byGrant($at);
        }
        if (! $inSeason) {
            return $routes;
        }
        if ($course->entry === Entry::Anyone) {
            $routes[Route::Anyone->value] = $this->asAnyone($at);
        }
        if ($this->course->hasSamples) {
            $routes[Route::Sample->value] = $this->asSample($at);
        }
        if ($this->observed !== null) {
            $routes[Route::Observer->value] = $this->asObserver($at);
        }
        if ($this->viewer->guest) {
            $routes[Route::Guest->value] = $this->asGuest($at);
        }

        return $routes;
    }

    /**
     * Whether only passes and samples can lead this viewer anywhere, each within one stretch of time, so that
     * openings and endings follow from dates without looking at every instant.
     */
    public function goesByDatesAlone(): bool
    {
        return $this->course->byDatesAlone && ! $this->viewer->staff && $this->observed === null && $this->grants === [] && ! $this->viewer->guest && $this->labels->instants === [];
    }

    /** @return array{string, string} what is open, and what is open to work in */
    public function open(int $at): array
    {
        if (! $this->byPassesOnly) {
            return $this->openBy($this->routes($at));
        }
        $open = $this->passes === [] || $this->gate($at) !== null ? $this->course->none : $this->byPass($at);

        return $this->openBy([Route::Pass->value => $open]);
    }

    /**
     * @param  array<string, string>  $routes
     * @return array{string, string} what is open, and what is open to work in
     */
    public function openBy(array $routes): array
    {
        if (isset($routes[Route::Staff->value])) {
            return [$this->course->all, $this->course->all];
        }
        $works = $routes[Route::Pass->value] ?? $this->course->none;
        if (count($routes) === 1 && isset($routes[Route::Pass->value])) {
            $open = $this->course->hasDrafts ? $works & $this->course->published : $works;

            return [$open, $open];
        }
        $open = $works;
        foreach ($routes as $route => $mask) {
            $open |= $mask;
            if ($this->viewer->signedIn && ($route === Route::Grant->value || $route === Route::Anyone->value)) {
                $works |= $mask;
            }
        }
        if ($this->course->hasDrafts) {
            $open &= $this->course->published;
            $works &= $this->course->published;
        }

        return [$open, $works];
    }
}
