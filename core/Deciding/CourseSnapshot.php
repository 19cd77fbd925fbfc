<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\Grant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/** The whole course in the eyes of one viewer at one instant. */
final class CourseSnapshot
{
    public readonly ?Reason $gate;

    /** @var list<Standing> in reading order */
    public readonly array $standings;

    private readonly OwnRoutes $own;

    private readonly ?OwnRoutes $observed;

    private readonly bool $observedGatePasses;

    private ?self $observedSnapshot = null;

    public function __construct(private readonly PreparedCourse $prepared, private readonly Viewer $viewer, private readonly int $at)
    {
        $learner = self::observedLearner($viewer);
        $this->own = new OwnRoutes($prepared, $viewer, $at);
        $this->observed = $learner === null ? null : new OwnRoutes($prepared, $learner, $at);
        $learnerHoldsPass = $this->observed !== null && $this->observed->active !== [];
        $this->gate = OwnRoutes::courseGate($prepared, $this->own->active !== [] || $learnerHoldsPass, $at);
        $this->observedGatePasses = OwnRoutes::courseGate($prepared, $learnerHoldsPass, $at) === null;
        $this->standings = $this->stand();
    }

    /** The learner as they are themselves: signed in, never staff, observing nobody. */
    public static function observedLearner(Viewer $viewer): ?Viewer
    {
        return $viewer->observes?->asObserved();
    }

    public static function kindOf(Viewer $viewer, bool $holdsActivePass): ViewerKind
    {
        return match (true) {
            $viewer->staff => ViewerKind::Staff,
            $viewer->observes !== null => ViewerKind::Observer,
            $holdsActivePass => ViewerKind::Learner,
            $viewer->guest => ViewerKind::Guest,
            $viewer->signedIn => ViewerKind::Member,
            default => ViewerKind::Visitor,
        };
    }

    public function kind(): ViewerKind
    {
        return self::kindOf($this->viewer, $this->own->active !== []);
    }

    /** @return list<Reason> empty for an open item */
    public function why(int $item): array
    {
        if ($this->standings[$item]->isOpen()) {
            return [];
        }
        $course = $this->prepared->course;

        return match (true) {
            $this->gate !== null => [$this->gate],
            $this->prepared->outline->draftOnPath[$item] => [Reason::Draft],
            $this->own->active !== [] => $this->own->nearestPass($item)?->failing($item, ViewerKind::Learner) ?? [],
            $this->observed !== null => $this->observerObjections($item, $this->observed),
            $this->own->passes !== [] => [$this->own->lapsedPassReason()],
            $this->viewer->guest => $this->guestObjections($item),
            $course->entry === Entry::Anyone => $this->own->objectionsToAnyone($item),
            $this->wantsAnAccount($item) => [Reason::SampleNeedsAccount],
            $this->viewer->signedIn => [Reason::NoPass],
            default => [Reason::NotSignedIn],
        };
    }

    /** The viewer's own active pass that comes nearest to opening a closed item. */
    public function nearestPass(int $item): ?PassReading
    {
        return $this->own->nearestPass($item);
    }

    /** The first of the viewer's own active passes that opens an item; else the one that comes nearest. */
    public function passFor(int $item): ?PassReading
    {
        foreach ($this->own->active as $pass) {
            if ($pass->opens($item, ViewerKind::Learner)) {
                return $pass;
            }
        }

        return $this->own->nearestPass($item);
    }

    /** The pass of the viewer's own that began last, where they have any, active or not. */
    public function latestPass(): ?Pass
    {
        return $this->own->passes === [] ? null : $this->own->latestPass();
    }

    /** The grant of the viewer's own that opens an item now. */
    public function grantFor(int $item): ?Grant
    {
        foreach ($this->viewer->grants as $grant) {
            $position = $grant->isActive($this->at) ? $this->prepared->outline->positionOf($grant->item) : null;
            if ($position !== null && $this->prepared->outline->lies($item, $position)) {
                return $grant;
            }
        }

        return null;
    }

    /** What whoever is observed sees themselves; null where nobody is. */
    public function learner(): ?self
    {
        return $this->observed === null ? null : $this->observedSnapshot ??= new self($this->prepared, $this->observed->viewer, $this->at);
    }

    /** Whether whoever is observed is let in by a way of their own. */
    public function learnerEnters(int $item): bool
    {
        return $this->observed !== null && $this->observed->route($item, $this->observedGatePasses) !== null;
    }

    /** The first item of a path whose condition a viewer of this kind does not meet without a pass; null: they meet all. */
    public function conditionInTheWay(int $item, ViewerKind $kind): ?int
    {
        foreach ($this->prepared->outline->path[$item] as $step) {
            if (! $this->own->audienceHolds($step, $kind)) {
                return $step;
            }
        }

        return null;
    }

    /** Whether anything of the course is recorded as done, by the viewer's own doing. */
    public function hasFinishedAnything(): bool
    {
        return $this->own->done !== [];
    }

    /** Whether the item counts for an active pass of the viewer's own. */
    public function countsForAPass(int $item): bool
    {
        foreach ($this->own->active as $pass) {
            if ($pass->progress->eligible[$item]) {
                return true;
            }
        }

        return false;
    }

    public function holdsActivePass(): bool
    {
        return $this->own->active !== [];
    }

    /** @return list<Standing> */
    private function stand(): array
    {
        $outline = $this->prepared->outline;
        $routes = $hidden = [];
        foreach ($outline->items as $at => $item) {
            $routes[] = $this->route($at);
            $above = $outline->parent[$at];
            $hidden[] = $routes[$at] === null && ($this->prepared->course->state === CourseState::Draft
                || $outline->draftOnPath[$at] || $item->hideWhenClosed || ($above !== Outline::TOP && $hidden[$above]));
        }
        // A hidden item with something to be seen inside it is only locked: one has to get there.
        for ($at = $outline->count() - 1; $at >= 0; $at--) {
            $above = $outline->parent[$at];
            if ($above !== Outline::TOP && ! $hidden[$at]) {
                $hidden[$above] = false;
            }
        }
        $standings = [];
        foreach ($routes as $at => $route) {
            $state = $route !== null ? State::Open : ($hidden[$at] ? State::Hidden : State::Locked);
            $standings[] = new Standing($state, $route, $this->mayAct($route));
        }

        return $standings;
    }

    private function mayAct(?Route $route): bool
    {
        return match ($route) {
            Route::Staff, Route::Pass => true,
            Route::Grant, Route::Anyone => $this->viewer->signedIn,
            default => false,
        };
    }

    private function route(int $item): ?Route
    {
        if ($this->viewer->staff) {
            return Route::Staff;
        }
        if ($this->prepared->course->state === CourseState::Draft || $this->prepared->outline->draftOnPath[$item]) {
            return null;
        }

        return $this->own->route($item, $this->gate === null) ?? ($this->gate !== null ? null : match (true) {
            $this->openAsSample($item) => Route::Sample,
            $this->openToObserver($item) => Route::Observer,
            $this->openToGuest($item) => Route::Guest,
            default => null,
        });
    }

    private function openAsSample(int $item): bool
    {
        return ($this->viewer->signedIn || ! $this->prepared->course->sampleNeedsAccount) && $this->own->samples($this->viewer->signedIn)[$item];
    }

    /** Whether all it takes to see a sample is to sign in. */
    public function wantsAnAccount(int $item): bool
    {
        return ! $this->viewer->signedIn && $this->prepared->course->sampleNeedsAccount && $this->own->samples(signedIn: true)[$item];
    }

    private function openToObserver(int $item): bool
    {
        $door = $this->prepared->course->observerDoor;
        if ($this->observed === null || ! $door->open || ! $this->prepared->observers->admits[$item]) {
            return false;
        }

        return $door->follow
            ? $this->observed->route($item, $this->observedGatePasses, ViewerKind::Observer) !== null
            : $this->own->objectionsAtDoor($item, $this->prepared->observers, ViewerKind::Observer) === [];
    }

    private function openToGuest(int $item): bool
    {
        return $this->viewer->guest && $this->guestDoorOpen() && $this->prepared->guests->admits[$item]
            && $this->own->objectionsAtDoor($item, $this->prepared->guests, ViewerKind::Guest) === [];
    }

    private function guestDoorOpen(): bool
    {
        return $this->prepared->plan->guests && $this->prepared->course->guestDoor->open;
    }

    /** @return list<Reason> */
    private function observerObjections(int $item, OwnRoutes $learner): array
    {
        $door = $this->prepared->course->observerDoor;
        if (! $door->open) {
            return [Reason::ObserversShut];
        }
        if (! $this->prepared->observers->admits[$item]) {
            return [Reason::ObserversNotHere];
        }
        if (! $door->follow) {
            return $this->own->objectionsAtDoor($item, $this->prepared->observers, ViewerKind::Observer);
        }
        if ($learner->route($item, $this->observedGatePasses) !== null) {
            return [Reason::NotForYou];
        }

        return [Reason::LearnerCannot, ...$this->learner()?->why($item) ?? []];
    }

    /** @return list<Reason> */
    private function guestObjections(int $item): array
    {
        return match (true) {
            ! $this->guestDoorOpen() => [Reason::GuestsShut],
            ! $this->prepared->guests->admits[$item] => [Reason::GuestsNotHere],
            default => $this->own->objectionsAtDoor($item, $this->prepared->guests, ViewerKind::Guest),
        };
    }
}
