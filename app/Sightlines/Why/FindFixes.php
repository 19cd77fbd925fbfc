<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Access\Plans;
use App\Drafts\Edits\CannotEdit;
use App\Models\CourseDocument;
use SilentKeep\Core\Deciding\CourseSnapshot;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\PassReading;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\Standing;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Rules\Held;
use SilentKeep\Core\Rules\OpensOn;
use SilentKeep\Core\Rules\ViewerKind;

/** Finds changes of the rules that let a viewer in, by making them on a copy and asking the core again. */
final readonly class FindFixes
{
    /** What one change lays bare, another may have to fix. */
    private const ROUNDS = 5;

    public function __construct(private Plans $plans)
    {
    }

    /**
     * The changes that open an item to a viewer at once: for each thing in the way, one.
     *
     * @return list<Fix> empty where rules cannot
     */
    public function toOpen(CellContext $scene, int $item): array
    {
        $key = $scene->key($item);
        $unmended = $scene->document;
        $fixes = [];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $position = $scene->outline->positionOf($key);
            if ($position === null) {
                return [];
            }
            if ($scene->glance->standings[$position]->isOpen()) {
                return $fixes;
            }
            $more = array_udiff($this->against($scene, $position), $fixes, static fn (Fix $a, Fix $b): int => [$a->kind->value, $a->items] <=> [$b->kind->value, $b->items]);
            $after = $more === [] ? null : $this->after($unmended, [...$fixes, ...$more]);
            if ($after === null) {
                return [];
            }
            $fixes = [...$fixes, ...array_values($more)];
            $scene = new CellContext($after[0], $after[1], $scene->viewer, $scene->at, $scene->clock);
        }

        return [];
    }

    /**
     * The fewest changes of the course itself that let somebody see anything at all who sees nothing.
     *
     * @param  list<Fix>  $tried  one after the other, each with those before it
     * @return array{list<Fix>, int} with how many items are open then
     */
    public function toSeeAnything(CellContext $scene, array $tried): array
    {
        $fixes = [];
        foreach ($tried as $fix) {
            $fixes[] = $fix;
            $after = $this->after($scene->document, $fixes);
            $open = $after === null ? 0 : count(array_filter($after[0]->glance($scene->viewer, $scene->at)->standings, static fn (Standing $standing): bool => $standing->state === State::Open));
            if ($open > 0) {
                return [$fixes, $open];
            }
        }

        return [[], 0];
    }

    /**
     * @param  list<Fix>  $fixes
     * @return ?array{Decider, CourseDocument}
     */
    private function after(CourseDocument $document, array $fixes): ?array
    {
        $copy = $document->copy();
        try {
            (new ApplyFixes($fixes))->applyTo($copy);

            return [$this->plans->of($copy), $copy];
        } catch (CannotEdit|InvalidPlan) {
            return null;
        }
    }

    /** @return list<Fix> one against each thing in the way, as far as rules can */
    private function against(CellContext $scene, int $item): array
    {
        $glance = $scene->glance;
        $reading = $glance->nearestPass($item) ?? $glance->learner()?->nearestPass($item);
        $fixes = [];
        foreach ($glance->why($item) as $reason) {
            array_push($fixes, ...match ($reason) {
                Reason::CourseDraft, Reason::CourseRetired => [new Fix(FixKind::CourseLive)],
                Reason::CourseNotOpen => [new Fix(FixKind::SeasonBegun)],
                Reason::CourseOver => [new Fix(FixKind::SeasonOpenEnded)],
                Reason::Draft => [new Fix(FixKind::NoDraft, $this->onPath($scene, $item, static fn (int $step): bool => $scene->outline->items[$step]->draft))],
                Reason::Tier => $this->tiers($scene, $item, $reading),
                Reason::NotForYou => [new Fix(FixKind::NoCondition, $this->onPath($scene, $item, static fn (int $step): bool => $scene->outline->items[$step]->only !== null && self::fails($glance, $reading, $step)))],
                Reason::NotYet, Reason::Held => $this->openings($scene, $item, $reading),
                Reason::Closed => $this->closings($scene, $item, $reading),
                Reason::Progress, Reason::Stuck => $this->order($scene, $item, $reading),
                Reason::ObserversShut => [new Fix(FixKind::OpenObserverDoor)],
                Reason::ObserversNotHere => [new Fix(FixKind::ObserversHere, [$scene->key($item)])],
                Reason::GuestsShut => $scene->decider->prepared->plan->guests ? [new Fix(FixKind::OpenGuestDoor)] : [],
                Reason::GuestsNotHere => [new Fix(FixKind::GuestsHere, [$scene->key($item)])],
                Reason::SampleNeedsAccount => [new Fix(FixKind::SampleForVisitors)],
                Reason::NoPass, Reason::NotSignedIn => [new Fix(FixKind::Sample, [$scene->key($item)])],
                Reason::NotInPass, Reason::LearnerCannot, Reason::PassEnded, Reason::PassPaused, Reason::PassRevoked, Reason::PassNotStarted => [],
            });
        }

        return array_values(array_filter($fixes, static fn (Fix $fix): bool => $fix->items !== [] || $fix->kind->isOfTheCourse()));
    }

    private static function fails(CourseSnapshot $glance, ?PassReading $reading, int $step): bool
    {
        return $reading === null
            ? $glance->conditionInTheWay($step, $glance->kind()) !== null
            : $reading->conditionInTheWay($step) !== null || $reading->conditionInTheWay($step, ViewerKind::Observer) !== null;
    }

    /** @return list<Fix> */
    private function tiers(CellContext $scene, int $item, ?PassReading $reading): array
    {
        $tier = $reading?->offer->tier;
        if ($reading === null && $scene->glance->kind() === ViewerKind::Observer) {
            return [new Fix(FixKind::ObserversHere, [$scene->key($item)])];
        }
        if ($reading === null && $scene->glance->kind() === ViewerKind::Guest) {
            return [new Fix(FixKind::GuestsHere, [$scene->key($item)])];
        }
        $items = $this->onPath($scene, $item, static function (int $step) use ($scene, $tier): bool {
            $tiers = $scene->outline->items[$step]->tiers;

            return $tiers !== null && ($tier === null || ! in_array($tier, $tiers, true));
        });

        return [$tier === null ? new Fix(FixKind::EveryPass, $items) : new Fix(FixKind::TierToo, $items, tier: $tier)];
    }

    /** @return list<Fix> */
    private function openings(CellContext $scene, int $item, ?PassReading $reading): array
    {
        $plan = $reading === null ? $scene->decider->course->mainPlan : $reading->offer->plan;
        if ($plan === null) {
            return [];
        }
        $late = $reading !== null
            ? static fn (int $step): bool => $reading->schedule->release[$step] > $scene->at
            : static function (int $step) use ($plan, $scene): bool {
                $opening = $plan->opening($step);

                return $opening instanceof Held || ($opening instanceof OpensOn && $scene->at < $opening->at);
            };
        // What opens late only because it stands in something that does needs no rule of its own.
        $items = $this->onPath($scene, $item, static fn (int $step): bool => $late($step) && isset($plan->entries[$step]));
        if ($items === [] && $reading === null) {
            return [new Fix($scene->glance->kind() === ViewerKind::Observer ? FixKind::ObserversHere : FixKind::GuestsHere, [$scene->key($item)])];
        }

        return [new Fix(FixKind::AtOnce, $items, $plan->name)];
    }

    /** @return list<Fix> */
    private function closings(CellContext $scene, int $item, ?PassReading $reading): array
    {
        $plan = $reading === null ? $scene->decider->course->mainPlan : $reading->offer->plan;
        if ($plan === null) {
            return [];
        }

        return [new Fix(FixKind::NeverCloses, $this->onPath($scene, $item, static function (int $step) use ($plan, $reading, $scene): bool {
            $closing = $plan->closing($step);

            return $reading !== null ? $closing !== null && $reading->schedule->closing[$step] <= $scene->at : $closing instanceof ClosesOn && $closing->at <= $scene->at;
        }), $plan->name)];
    }

    /** @return list<Fix> */
    private function order(CellContext $scene, int $item, ?PassReading $reading): array
    {
        $fixes = [];
        if ($reading === null) {
            return [];
        }
        foreach ($reading->unmet($item) as $step) {
            if (! $reading->progress->afterMet($step)) {
                $fixes[] = new Fix(FixKind::NothingFirst, [$scene->key($step)]);
            }
            if (! $reading->progress->turnHasCome($step)) {
                $above = $scene->outline->parent[$step];
                $fixes[] = $above < 0 ? new Fix(FixKind::AnyOrderOnTop) : new Fix(FixKind::AnyOrder, [$scene->key($above)]);
            }
        }

        return $fixes;
    }

    /**
     * @param  \Closure(int): bool  $wanted
     * @return list<string> keys of the items on a path
     */
    private function onPath(CellContext $scene, int $item, \Closure $wanted): array
    {
        return array_map($scene->key(...), array_values(array_filter($scene->outline->path[$item], $wanted)));
    }
}
