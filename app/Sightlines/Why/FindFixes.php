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
    public function toOpen(CellContext $cell, int $item): array
    {
        $key = $cell->key($item);
        $unmended = $cell->document;
        $fixes = [];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $position = $cell->outline->positionOf($key);
            if ($position === null) {
                return [];
            }
            if ($cell->snapshot->standings[$position]->isOpen()) {
                return $fixes;
            }
            $more = array_udiff($this->against($cell, $position), $fixes, static fn (Fix $a, Fix $b): int => [$a->kind->value, $a->items] <=> [$b->kind->value, $b->items]);
            $after = $more === [] ? null : $this->after($unmended, [...$fixes, ...$more]);
            if ($after === null) {
                return [];
            }
            $fixes = [...$fixes, ...array_values($more)];
            $cell = new CellContext($this->plans->ask($after[0], $cell->viewer, $cell->at), $after[1], $cell->clock);
        }

        return [];
    }

    public function opensOnceSchoolLetsGuestsIn(CellContext $cell, int $item): bool
    {
        return $this->plans->asIfGuestsWereLetIn($cell->document)->snapshot($cell->viewer, $cell->at)->standings[$item]->isOpen();
    }

    /**
     * The fewest changes of the course itself that let somebody see anything at all who sees nothing.
     *
     * @param  list<Fix>  $tried  one after the other, each with those before it
     * @return array{list<Fix>, int} with how many items are open then
     */
    public function toSeeAnything(CellContext $cell, array $tried): array
    {
        $fixes = [];
        foreach ($tried as $fix) {
            $fixes[] = $fix;
            $after = $this->after($cell->document, $fixes);
            $open = $after === null ? 0 : count(array_filter($after[0]->snapshot($cell->viewer, $cell->at)->standings, static fn (Standing $standing): bool => $standing->state === State::Open));
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
    private function against(CellContext $cell, int $item): array
    {
        $snapshot = $cell->snapshot;
        $reading = $snapshot->nearestPass($item) ?? $snapshot->learner()?->nearestPass($item);
        $fixes = [];
        foreach ($snapshot->why($item) as $reason) {
            array_push($fixes, ...match ($reason) {
                Reason::CourseDraft, Reason::CourseRetired => [new Fix(FixKind::CourseLive)],
                Reason::CourseNotOpen => [new Fix(FixKind::SeasonBegun)],
                Reason::CourseOver => [new Fix(FixKind::SeasonOpenEnded)],
                Reason::Draft => [new Fix(FixKind::NoDraft, $this->onPath($cell, $item, static fn (int $step): bool => $cell->outline->items[$step]->draft))],
                Reason::Tier => $this->tiers($cell, $item, $reading),
                Reason::NotForYou => [new Fix(FixKind::NoCondition, $this->onPath($cell, $item, static fn (int $step): bool => $cell->outline->items[$step]->only !== null && self::fails($snapshot, $reading, $step)))],
                Reason::NotYet, Reason::Held => $this->openings($cell, $item, $reading),
                Reason::Closed => $this->closings($cell, $item, $reading),
                Reason::Progress, Reason::Stuck => $this->order($cell, $item, $reading),
                Reason::ObserversShut => [new Fix(FixKind::OpenObserverDoor)],
                Reason::ObserversNotHere => [new Fix(FixKind::ObserversHere, [$cell->key($item)])],
                Reason::GuestsShut => $cell->decider->prepared->plan->guests ? [new Fix(FixKind::OpenGuestDoor)] : [],
                Reason::GuestsNotHere => [new Fix(FixKind::GuestsHere, [$cell->key($item)])],
                Reason::SampleNeedsAccount => [new Fix(FixKind::SampleForVisitors)],
                Reason::NoPass, Reason::NotSignedIn => [new Fix(FixKind::Sample, [$cell->key($item)])],
                Reason::NotInPass, Reason::LearnerCannot, Reason::PassEnded, Reason::PassPaused, Reason::PassRevoked, Reason::PassNotStarted => [],
            });
        }

        return array_values(array_filter($fixes, static fn (Fix $fix): bool => $fix->items !== [] || $fix->kind->isOfTheCourse()));
    }

    private static function fails(CourseSnapshot $snapshot, ?PassReading $reading, int $step): bool
    {
        return $reading === null
            ? $snapshot->conditionInTheWay($step, $snapshot->kind()) !== null
            : $reading->conditionInTheWay($step) !== null || $reading->conditionInTheWay($step, ViewerKind::Observer) !== null;
    }

    /** @return list<Fix> */
    private function tiers(CellContext $cell, int $item, ?PassReading $reading): array
    {
        $tier = $reading?->offer->tier;
        if ($reading === null && $cell->snapshot->kind() === ViewerKind::Observer) {
            return [new Fix(FixKind::ObserversHere, [$cell->key($item)])];
        }
        if ($reading === null && $cell->snapshot->kind() === ViewerKind::Guest) {
            return [new Fix(FixKind::GuestsHere, [$cell->key($item)])];
        }
        $items = $this->onPath($cell, $item, static function (int $step) use ($cell, $tier): bool {
            $tiers = $cell->outline->items[$step]->tiers;

            return $tiers !== null && ($tier === null || ! in_array($tier, $tiers, true));
        });

        return [$tier === null ? new Fix(FixKind::EveryPass, $items) : new Fix(FixKind::TierToo, $items, tier: $tier)];
    }

    /** @return list<Fix> */
    private function openings(CellContext $cell, int $item, ?PassReading $reading): array
    {
        $plan = $reading === null ? $cell->decider->course->mainPlan : $reading->offer->plan;
        if ($plan === null) {
            return [];
        }
        $late = $reading !== null
            ? static fn (int $step): bool => $reading->schedule->release[$step] > $cell->at
            : static function (int $step) use ($plan, $cell): bool {
                $opening = $plan->opening($step);

                $dated = $opening->dated();

                return $dated !== null && $cell->at < $dated;
            };
        // What opens late only because it stands in something that does needs no rule of its own.
        $items = $this->onPath($cell, $item, static fn (int $step): bool => $late($step) && isset($plan->entries[$step]));
        if ($items === [] && $reading === null) {
            return [new Fix($cell->snapshot->kind() === ViewerKind::Observer ? FixKind::ObserversHere : FixKind::GuestsHere, [$cell->key($item)])];
        }

        return [new Fix(FixKind::AtOnce, $items, $plan->name)];
    }

    /** @return list<Fix> */
    private function closings(CellContext $cell, int $item, ?PassReading $reading): array
    {
        $plan = $reading === null ? $cell->decider->course->mainPlan : $reading->offer->plan;
        if ($plan === null) {
            return [];
        }

        return [new Fix(FixKind::NeverCloses, $this->onPath($cell, $item, static function (int $step) use ($plan, $reading, $cell): bool {
            $closing = $plan->closing($step);

            return $reading !== null ? $closing !== null && $reading->schedule->closing[$step] <= $cell->at : $closing instanceof ClosesOn && $closing->at <= $cell->at;
        }), $plan->name)];
    }

    /** @return list<Fix> */
    private function order(CellContext $cell, int $item, ?PassReading $reading): array
    {
        $fixes = [];
        if ($reading === null) {
            return [];
        }
        foreach ($reading->unmet($item) as $step) {
            if (! $reading->progress->afterMet($step)) {
                $fixes[] = new Fix(FixKind::NothingFirst, [$cell->key($step)]);
            }
            if (! $reading->progress->turnHasCome($step)) {
                $above = $cell->outline->parent[$step];
                $fixes[] = $above < 0 ? new Fix(FixKind::AnyOrderOnTop) : new Fix(FixKind::AnyOrder, [$cell->key($above)]);
            }
        }

        return $fixes;
    }

    /**
     * @param  \Closure(int): bool  $wanted
     * @return list<string> keys of the items on a path
     */
    private function onPath(CellContext $cell, int $item, \Closure $wanted): array
    {
        return array_map($cell->key(...), array_values(array_filter($cell->outline->path[$item], $wanted)));
    }
}
