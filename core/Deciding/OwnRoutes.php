<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Conditions\Audiences;
use SilentKeep\Core\Conditions\MomentFacts;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\LabelTimes;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\Viewer;

/** One viewer in one course at one instant: what their own passes, grants and the open entry do for them. */
final class OwnRoutes
{
    /** @var list<PassReading> the active passes of the course, in the order given */
    public readonly array $active;

    /** @var list<Pass> the passes of the course, active or not, in the order given */
    public readonly array $passes;

    /** @var list<string> that the viewer has at the instant */
    public readonly array $labels;

    /** @var array<int, true> positions of what is complete */
    public readonly array $done;

    /** @var array<int, true> positions with an active grant */
    private readonly array $granted;

    /** @var array<string, list<bool>> by kind: whether every condition holds on a route without a pass */
    private array $audience = [];

    /** @var array<int, list<bool>> what is part of a sample for the viewer, not signed in and signed in */
    private array $samples = [];

    public function __construct(private readonly PreparedCourse $prepared, public readonly Viewer $viewer, private readonly int $at)
    {
        $done = $granted = $active = $passes = [];
        $this->labels = LabelTimes::of($viewer, $prepared->plan->offers)->at($at);
        foreach ($viewer->done as $key => $since) {
            $position = $prepared->outline->positionOf((string) $key);
            if ($position !== null && $since <= $at) {
                $done[$position] = true;
            }
        }
        foreach ($viewer->grants as $grant) {
            $position = $prepared->outline->positionOf($grant->item);
            if ($position !== null && $grant->isActive($at)) {
                $granted[$position] = true;
            }
        }
        foreach ($viewer->passes as $pass) {
            $offer = $prepared->offerOf($pass);
            if ($offer === null) {
                continue;
            }
            $passes[] = $pass;
            if ($pass->isActive($at)) {
                $active[] = new PassReading($prepared, $pass, $offer, $viewer, $this->labels, $done, $at);
            }
        }
        $this->done = $done;
        $this->granted = $granted;
        $this->passes = $passes;
        $this->active = $active;
    }

    /** @param  bool  $holdsPass  whether the viewer, or the learner it observes, has an active pass of the course */
    public static function courseGate(PreparedCourse $prepared, bool $holdsPass, int $at): ?Reason
    {
        $course = $prepared->course;

        return match (true) {
            $course->state === CourseState::Draft => Reason::CourseDraft,
            $course->state === CourseState::Retired && ! ($course->keepAfterRetiring && $holdsPass) => Reason::CourseRetired,
            $course->opens !== null && $at < $course->opens => Reason::CourseNotOpen,
            $course->closes !== null && $at >= $course->closes => Reason::CourseOver,
            default => null,
        };
    }

    /**
     * Routes 1 to 3; drafts are the caller's business.
     *
     * @param  bool  $gatePasses  the course gate, for this viewer
     * @param  ?ViewerKind  $kind  as which conditions are read, where it is not the viewer's own
     */
    public function route(int $item, bool $gatePasses, ?ViewerKind $kind = null): ?Route
    {
        if ($gatePasses && $this->passOpens($item, $kind ?? ViewerKind::Learner)) {
            return Route::Pass;
        }
        if ($this->isGranted($item)) {
            return Route::Grant;
        }

        return $gatePasses && $this->prepared->course->entry === Entry::Anyone && $this->objectionsToAnyone($item, $kind) === [] ? Route::Anyone : null;
    }

    private function passOpens(int $item, ViewerKind $kind): bool
    {
        foreach ($this->active as $pass) {
            if ($pass->opens($item, $kind)) {
                return true;
            }
        }

        return false;
    }

    private function isGranted(int $item): bool
    {
        foreach ($this->prepared->outline->path[$item] as $step) {
            if (isset($this->granted[$step])) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Reason> what stands in the way where the course is open to anyone */
    public function objectionsToAnyone(int $item, ?ViewerKind $kind = null): array
    {
        $kind ??= $this->viewer->signedIn ? ViewerKind::Member : ViewerKind::Visitor;

        return [
            ...($this->prepared->tiersOnPath[$item] ? [Reason::Tier] : []),
            ...($this->audienceHolds($item, $kind) ? [] : [Reason::NotForYou]),
            ...$this->prepared->datedTimes->objections($item, $this->at, null),
        ];
    }

    /** @return list<Reason> what stands in the way of somebody who comes by a door that admits them here */
    public function objectionsAtDoor(int $item, Admission $door, ViewerKind $kind): array
    {
        return [
            ...($door->tiersAllow[$item] ? [] : [Reason::Tier]),
            ...($this->audienceHolds($item, $kind) ? [] : [Reason::NotForYou]),
            ...$this->prepared->datedTimes->objections($item, $this->at, $door),
        ];
    }

    /** On a route without a pass: whether every condition on the path holds. */
    public function audienceHolds(int $item, ViewerKind $kind): bool
    {
        $this->audience[$kind->value] ??= Audiences::holding($this->prepared->outline, MomentFacts::asItStands(
            $this->prepared->outline, $this->labels, $this->done, $this->at, $kind,
        ));

        return $this->audience[$kind->value][$item];
    }

    /** @return list<bool> of each item: whether it is part of a sample for the viewer, signed in or not */
    public function samples(bool $signedIn): array
    {
        return $this->samples[(int) $signedIn] ??= $this->prepared->samples->for(MomentFacts::asItStands(
            $this->prepared->outline, $this->labels, $this->done, $this->at, $signedIn ? ViewerKind::Member : ViewerKind::Visitor,
        ));
    }

    /**
     * The active pass that comes nearest to opening a closed item: the one that only waits for its date, then
     * the one with the fewest failing gates, then the earliest released, then the first given.
     */
    public function nearestPass(int $item): ?PassReading
    {
        $nearest = $best = null;
        foreach ($this->active as $pass) {
            $failing = $pass->failing($item, ViewerKind::Learner);
            $rank = [$failing === [Reason::NotYet] ? 0 : 1, count($failing), $pass->schedule->release[$item]];
            if ($best === null || $rank < $best) {
                [$nearest, $best] = [$pass, $rank];
            }
        }

        return $nearest;
    }

    /** The pass that began last, of those the first given. To be asked only where there are passes. */
    public function latestPass(): Pass
    {
        $latest = $this->passes[0];
        foreach ($this->passes as $pass) {
            $latest = $pass->from > $latest->from ? $pass : $latest;
        }

        return $latest;
    }

    /** Why the pass that began last lets nobody in. To be asked only where there are passes and none is active. */
    public function lapsedPassReason(): Reason
    {
        $latest = $this->latestPass();

        return match (true) {
            $latest->state === PassState::Revoked => Reason::PassRevoked,
            $latest->state === PassState::Paused => Reason::PassPaused,
            $this->at >= $latest->until => Reason::PassEnded,
            default => Reason::PassNotStarted,
        };
    }
}
