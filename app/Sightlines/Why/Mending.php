<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Access\Plans;
use App\Drafts\Edits\CannotEdit;
use App\Models\CourseDocument;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Glance;
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
final readonly class Mending
{
    /** What one change lays bare, another may have to mend. */
    private const ROUNDS = 5;

    public function __construct(private Plans $plans)
    {
    }

    /**
     * The changes that open an item to a viewer at once: for each thing in the way, one.
     *
     * @return list<Mend> empty where rules cannot
     */
    public function toOpen(Scene $scene, int $item): array
    {
        $key = $scene->key($item);
        $unmended = $scene->document;
        $mends = [];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $position = $scene->outline->positionOf($key);
            if ($position === null) {
                return [];
            }
            if ($scene->glance->standings[$position]->isOpen()) {
                return $mends;
            }
            $more = array_udiff($this->against($scene, $position), $mends, static fn (Mend $a, Mend $b): int => [$a->kind->value, $a->items] <=> [$b->kind->value, $b->items]);
            $after = $more === [] ? null : $this->after($unmended, [...$mends, ...$more]);
            if ($after === null) {
                return [];
            }
            $mends = [...$mends, ...array_values($more)];
            $scene = new Scene($after[0], $after[1], $scene->viewer, $scene->at, $scene->clock);
        }

        return [];
    }

    /**
     * The fewest changes of the course itself that let somebody see anything at all who sees nothing.
     *
     * @param  list<Mend>  $tried  one after the other, each with those before it
     * @return array{list<Mend>, int} with how many items are open then
     */
    public function toSeeAnything(Scene $scene, array $tried): array
    {
        $mends = [];
        foreach ($tried as $mend) {
            $mends[] = $mend;
            $after = $this->after($scene->document, $mends);
            $open = $after === null ? 0 : count(array_filter($after[0]->glance($scene->viewer, $scene->at)->standings, static fn (Standing $standing): bool => $standing->state === State::Open));
            if ($open > 0) {
                return [$mends, $open];
            }
        }

        return [[], 0];
    }

    /**
     * @param  list<Mend>  $mends
     * @return ?array{Decider, CourseDocument}
     */
    private function after(CourseDocument $document, array $mends): ?array
    {
        $copy = $document->copy();
        try {
            (new MakeMends($mends))->applyTo($copy);

            return [$this->plans->of($copy), $copy];
        } catch (CannotEdit|InvalidPlan) {
            return null;
        }
    }

    /** @return list<Mend> one against each thing in the way, as far as rules can */
    private function against(Scene $scene, int $item): array
    {
        $glance = $scene->glance;
        $reading = $glance->nearestPass($item) ?? $glance->learner()?->nearestPass($item);
        $mends = [];
        foreach ($glance->why($item) as $reason) {
            array_push($mends, ...match ($reason) {
                Reason::CourseDraft, Reason::CourseRetired => [new Mend(MendKind::CourseLive)],
                Reason::CourseNotOpen => [new Mend(MendKind::SeasonBegun)],
                Reason::CourseOver => [new Mend(MendKind::SeasonOpenEnded)],
                Reason::Draft => [new Mend(MendKind::NoDraft, $this->onPath($scene, $item, static fn (int $step): bool => $scene->outline->items[$step]->draft))],
                Reason::Tier => $this->tiers($scene, $item, $reading),
                Reason::NotForYou => [new Mend(MendKind::NoCondition, $this->onPath($scene, $item, static fn (int $step): bool => $scene->outline->items[$step]->only !== null && self::fails($glance, $reading, $step)))],
                Reason::NotYet, Reason::Held => $this->openings($scene, $item, $reading),
                Reason::Closed => $this->closings($scene, $item, $reading),
                Reason::Progress, Reason::Stuck => $this->order($scene, $item, $reading),
                Reason::ObserversShut => [new Mend(MendKind::OpenObserverDoor)],
                Reason::ObserversNotHere => [new Mend(MendKind::ObserversHere, [$scene->key($item)])],
                Reason::GuestsShut => $scene->decider->prepared->plan->guests ? [new Mend(MendKind::OpenGuestDoor)] : [],
                Reason::GuestsNotHere => [new Mend(MendKind::GuestsHere, [$scene->key($item)])],
                Reason::SampleNeedsAccount => [new Mend(MendKind::SampleForVisitors)],
                Reason::NoPass, Reason::NotSignedIn => [new Mend(MendKind::Sample, [$scene->key($item)])],
                Reason::NotInPass, Reason::LearnerCannot, Reason::PassEnded, Reason::PassPaused, Reason::PassRevoked, Reason::PassNotStarted => [],
            });
        }

        return array_values(array_filter($mends, static fn (Mend $mend): bool => $mend->items !== [] || $mend->kind->isOfTheCourse()));
    }

    private static function fails(Glance $glance, ?PassReading $reading, int $step): bool
    {
        return $reading === null
            ? $glance->conditionInTheWay($step, $glance->kind()) !== null
            : $reading->conditionInTheWay($step) !== null || $reading->conditionInTheWay($step, ViewerKind::Observer) !== null;
    }

    /** @return list<Mend> */
    private function tiers(Scene $scene, int $item, ?PassReading $reading): array
    {
        $tier = $reading?->offer->tier;
        if ($reading === null && $scene->glance->kind() === ViewerKind::Observer) {
            return [new Mend(MendKind::ObserversHere, [$scene->key($item)])];
        }
        if ($reading === null && $scene->glance->kind() === ViewerKind::Guest) {
            return [new Mend(MendKind::GuestsHere, [$scene->key($item)])];
        }
        $items = $this->onPath($scene, $item, static function (int $step) use ($scene, $tier): bool {
            $tiers = $scene->outline->items[$step]->tiers;

            return $tiers !== null && ($tier === null || ! in_array($tier, $tiers, true));
        });

        return [$tier === null ? new Mend(MendKind::EveryPass, $items) : new Mend(MendKind::TierToo, $items, tier: $tier)];
    }

    /** @return list<Mend> */
    private function openings(Scene $scene, int $item, ?PassReading $reading): array
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
            return [new Mend($scene->glance->kind() === ViewerKind::Observer ? MendKind::ObserversHere : MendKind::GuestsHere, [$scene->key($item)])];
        }

        return [new Mend(MendKind::AtOnce, $items, $plan->name)];
    }

    /** @return list<Mend> */
    private function closings(Scene $scene, int $item, ?PassReading $reading): array
    {
        $plan = $reading === null ? $scene->decider->course->mainPlan : $reading->offer->plan;
        if ($plan === null) {
            return [];
        }

        return [new Mend(MendKind::NeverCloses, $this->onPath($scene, $item, static function (int $step) use ($plan, $reading, $scene): bool {
            $closing = $plan->closing($step);

            return $reading !== null ? $closing !== null && $reading->schedule->closing[$step] <= $scene->at : $closing instanceof ClosesOn && $closing->at <= $scene->at;
        }), $plan->name)];
    }

    /** @return list<Mend> */
    private function order(Scene $scene, int $item, ?PassReading $reading): array
    {
        $mends = [];
        if ($reading === null) {
            return [];
        }
        foreach ($reading->unmet($item) as $step) {
            if (! $reading->progress->afterMet($step)) {
                $mends[] = new Mend(MendKind::NothingFirst, [$scene->key($step)]);
            }
            if (! $reading->progress->turnHasCome($step)) {
                $above = $scene->outline->parent[$step];
                $mends[] = $above < 0 ? new Mend(MendKind::AnyOrderOnTop) : new Mend(MendKind::AnyOrder, [$scene->key($above)]);
            }
        }

        return $mends;
    }

    /**
     * @param  \Closure(int): bool  $wanted
     * @return list<string> keys of the items on a path
     */
    private function onPath(Scene $scene, int $item, \Closure $wanted): array
    {
        return array_map($scene->key(...), array_values(array_filter($scene->outline->path[$item], $wanted)));
    }
}
