<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Admission;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Outline\Audience;
use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Time\Instant;

/** The gates of those who come without a pass: observers, guests, and anyone where the course is open to all. */
final readonly class DoorGates
{
    /** @param  \Closure(CellContext): list<Gate>  $gates  of the same item before another viewer */
    public function __construct(private CellContext $cell, private \Closure $gates)
    {
    }

    /**
     * @param  list<Reason>  $why
     * @return list<Gate>
     */
    public function observer(int $item, array $why): array
    {
        $door = $this->cell->decider->course->observerDoor;
        $gates = [new Gate(Say::text('why.gate.door'), $door->open, Sentence::say($door->open ? 'why.door_gates.observer_door_open' : 'why.door_gates.observer_door_shut'), $door->open ? null : WhyLink::course('Doors'))];
        if (! $door->open) {
            return $gates;
        }
        $admission = $this->cell->decider->prepared->observers;
        $gates[] = $this->admitted($item, $admission, Audience::Observers, $door->default);
        if (! $admission->admits[$item]) {
            return $gates;
        }
        $learner = $this->cell->viewer->observes;
        if (! $door->follow || $learner === null) {
            return [...$gates, ...$this->atDoor($item, $admission, ViewerKind::Observer, $why, 'observers')];
        }
        if (in_array(Reason::NotForYou, $why, true) && ! in_array(Reason::LearnerCannot, $why, true)) {
            return [...$gates, Gate::passed(Say::text('why.gate.learner'), Sentence::say('why.door_gates.their_learner_let_in')), $this->cell->forWhom($item, $this->conditionOnPath($item))];
        }
        $enters = $this->cell->snapshot->learnerEnters($item);
        $inner = ($this->gates)($this->cell->ofLearner($learner));

        return [
            ...$gates,
            new Gate(Say::text('why.gate.learner'), $enters, Sentence::say($enters ? 'why.door_gates.their_learner_let_in_here' : 'why.door_gates.they_follow_their_learner')),
            ...array_map(static fn (Gate $gate): Gate => $gate->ofLearner(), array_values(array_filter($inner, static fn (Gate $gate): bool => $gate->name !== 'Course' || ! $gate->passed))),
        ];
    }

    private function conditionOnPath(int $item): ?int
    {
        foreach (array_reverse($this->cell->outline->path[$item]) as $step) {
            if ($this->cell->outline->items[$step]->only !== null) {
                return $step;
            }
        }

        return null;
    }

    /**
     * @param  list<Reason>  $why
     * @return list<Gate>
     */
    public function guest(int $item, array $why): array
    {
        $course = $this->cell->decider->course;
        if (! $this->cell->decider->prepared->plan->guests) {
            return [Gate::shut(Say::text('why.gate.school'), Sentence::say('why.door_gates.school_lets_no_guests'))];
        }
        $gates = [
            Gate::passed(Say::text('why.gate.school'), Sentence::say('why.door_gates.school_lets_guests_in')),
            new Gate(Say::text('why.gate.door'), $course->guestDoor->open, Sentence::say($course->guestDoor->open ? 'why.door_gates.guest_door_open' : 'why.door_gates.guest_door_shut'), $course->guestDoor->open ? null : WhyLink::course('Doors')),
        ];
        if (! $course->guestDoor->open) {
            return $gates;
        }
        $admission = $this->cell->decider->prepared->guests;
        $gates[] = $this->admitted($item, $admission, Audience::Guests, $course->guestDoor->default);

        return $admission->admits[$item] ? [...$gates, ...$this->atDoor($item, $admission, ViewerKind::Guest, $why, 'guests')] : $gates;
    }

    private function admitted(int $item, Admission $admission, Audience $audience, bool $default): Gate
    {
        $many = $audience === Audience::Guests ? 'guests' : 'observers';
        foreach ($this->cell->outline->path[$item] as $step) {
            if (in_array($audience, $this->cell->outline->items[$step]->neverFor, true)) {
                return Gate::shut(Say::text('why.door_gates.let_in'), $this->cell->said($step, $item, Say::text('why.door_gates.never_for_many', ['many' => $many])), WhyLink::rule(Say::text('why.door_gates.what_here', ['what' => ucfirst($many)]), $this->cell->key($step), $many));
            }
        }
        $deciding = $admission->deciding[$item];
        if ($deciding === null) {
            return new Gate(Say::text('why.door_gates.let_in'), $default, Sentence::of($default ? Say::text('why.door_gates.every_row_lets_many', ['many' => $many]) : Say::text('why.door_gates.no_row_lets_many', ['many' => $many])), $default ? null : WhyLink::rule(Say::text('why.door_gates.what_here', ['what' => ucfirst($many)]), $this->cell->key($item), $many));
        }
        $lets = $admission->admits[$item];

        return new Gate(Say::text('why.door_gates.let_in'), $lets, $this->cell->said($deciding, $item, $lets ? Say::text('why.door_gates.lets_many_in', ['many' => $many]) : Say::text('why.door_gates.lets_no_many_in', ['many' => $many])), $lets ? null : WhyLink::rule(Say::text('why.door_gates.what_here', ['what' => ucfirst($many)]), $this->cell->key($deciding), $many));
    }

    /**
     * @param  list<Reason>  $why
     * @return list<Gate>
     */
    private function atDoor(int $item, Admission $admission, ViewerKind $kind, array $why, string $word): array
    {
        $gates = [];
        foreach ($this->cell->outline->path[$item] as $step) {
            if ($this->cell->outline->items[$step]->tiers !== null) {
                $passes = $admission->tiersAllow[$item];
                $gates[] = new Gate(Say::text('why.gate.tier'), $passes, $this->cell->said($step, $item, $passes ? Say::text('why.door_gates.for_some_tiers_and') : Say::text('why.door_gates.for_some_tiers_only', ['word' => $word])), $passes ? null : WhyLink::rule(Say::text('why.door_gates.tiers_here'), $this->cell->key($step), 'tiers'));
                break;
            }
        }

        return [...$gates, $this->cell->forWhom($item, $this->cell->snapshot->conditionInTheWay($item, $kind)), ...$this->dated($item, $why)];
    }

    /**
     * @param  list<Reason>  $why
     * @return list<Gate>
     */
    public function anyone(int $item, array $why): array
    {
        $kind = $this->cell->viewer->signedIn ? ViewerKind::Member : ViewerKind::Visitor;
        $gates = [Gate::passed(Say::text('why.gate.entry'), Sentence::say('why.door_gates.course_open_anyone'))];
        foreach ($this->cell->outline->path[$item] as $step) {
            if ($this->cell->outline->items[$step]->tiers !== null) {
                $gates[] = Gate::shut(Say::text('why.gate.tier'), $this->cell->said($step, $item, Say::text('why.door_gates.for_passes_some_tiers')), WhyLink::rule(Say::text('why.door_gates.tiers_here'), $this->cell->key($step), 'tiers'));
                break;
            }
        }

        return [...$gates, $this->cell->forWhom($item, $this->cell->snapshot->conditionInTheWay($item, $kind)), ...$this->dated($item, $why)];
    }

    /**
     * The dates of the main plan, as they bind who comes without a pass.
     *
     * @param  list<Reason>  $why
     * @return list<Gate>
     */
    private function dated(int $item, array $why): array
    {
        $plan = $this->cell->decider->course->mainPlan;
        $gates = [];
        if ($plan === null) {
            return [];
        }
        foreach ($this->cell->outline->path[$item] as $step) {
            $opening = $plan->opening($step);
            $closing = $plan->closing($step);
            $link = WhyLink::rule(Say::text('why.door_gates.opening_here'), $this->cell->key($step), 'opens', $plan->name);
            $dated = $opening->dated();
            if ($dated === Instant::NEVER) {
                $gates[] = Gate::shut(Say::text('why.gate.opening'), $this->cell->said($step, $item, Say::text('why.door_gates.only_when_somebody_hands')), $link);
            } elseif ($dated !== null) {
                $shut = $this->cell->at < $dated;
                $gates[] = new Gate(Say::text('why.gate.opening'), ! $shut, $this->cell->saidWith($step, $item, Say::text($shut ? 'why.pass_gates.opens_when' : 'why.pass_gates.out_since_when', ['when' => $this->cell->clock->words($dated)])), $shut ? $link : null);
            } elseif (in_array(Reason::NotYet, $why, true) && $opening->isRelative()) {
                $gates[] = Gate::shut(Say::text('why.gate.opening'), $this->cell->said($step, $item, Say::text('why.door_gates.opens_some_days_after')), $link);
            }
            if ($closing instanceof ClosesOn) {
                $shut = $this->cell->at >= $closing->at;
                $gates[] = new Gate(Say::text('why.gate.closing'), ! $shut, $this->cell->saidWith($step, $item, Say::text($shut ? 'why.pass_gates.closed_since_when' : 'why.pass_gates.closes_when', ['when' => $this->cell->clock->words($closing->at)])), $shut ? WhyLink::rule(Say::text('why.door_gates.closing_here'), $this->cell->key($step), 'closes', $plan->name) : null);
            }
        }

        return $gates;
    }
}
