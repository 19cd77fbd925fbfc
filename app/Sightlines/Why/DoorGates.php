<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

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
        $gates = [new Gate('Door', $door->open, Sentence::of($door->open ? 'The observer door is open.' : 'The observer door is shut.'), $door->open ? null : WhyLink::course('Doors'))];
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
            return [...$gates, Gate::passed('Learner', Sentence::of('Their learner is let in here.')), $this->cell->forWhom($item, $this->conditionOnPath($item))];
        }
        $enters = $this->cell->snapshot->learnerEnters($item);
        $inner = ($this->gates)($this->cell->ofLearner($learner));

        return [
            ...$gates,
            new Gate('Learner', $enters, Sentence::of($enters ? 'Their learner is let in here, and they follow.' : 'They follow their learner, who is not let in here:')),
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
            return [Gate::shut('School', Sentence::of('The school lets no guests in at all.'))];
        }
        $gates = [
            Gate::passed('School', Sentence::of('The school lets guests in.')),
            new Gate('Door', $course->guestDoor->open, Sentence::of($course->guestDoor->open ? 'The guest door is open.' : 'The guest door is shut.'), $course->guestDoor->open ? null : WhyLink::course('Doors')),
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
                return Gate::shut('Let in', $this->cell->said($step, $item, "Never for {$many}."), WhyLink::rule(ucfirst($many).' here', $this->cell->key($step), $many));
            }
        }
        $deciding = $admission->deciding[$item];
        if ($deciding === null) {
            return new Gate('Let in', $default, Sentence::of($default ? "Every row lets {$many} in that says nothing else." : "No row lets {$many} in that does not say so, and this one does not."), $default ? null : WhyLink::rule(ucfirst($many).' here', $this->cell->key($item), $many));
        }
        $lets = $admission->admits[$item];

        return new Gate('Let in', $lets, $this->cell->said($deciding, $item, $lets ? "Lets {$many} in." : "Lets no {$many} in."), $lets ? null : WhyLink::rule(ucfirst($many).' here', $this->cell->key($deciding), $many));
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
                $gates[] = new Gate('Tier', $passes, $this->cell->said($step, $item, $passes ? 'For some tiers, and let in all the same.' : "For some tiers only: {$word} need leave of their own there."), $passes ? null : WhyLink::rule('Tiers here', $this->cell->key($step), 'tiers'));
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
        $gates = [Gate::passed('Entry', Sentence::of('The course is open to anyone.'))];
        foreach ($this->cell->outline->path[$item] as $step) {
            if ($this->cell->outline->items[$step]->tiers !== null) {
                $gates[] = Gate::shut('Tier', $this->cell->said($step, $item, 'For passes of some tiers only.'), WhyLink::rule('Tiers here', $this->cell->key($step), 'tiers'));
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
            $link = WhyLink::rule('Opening here', $this->cell->key($step), 'opens', $plan->name);
            $dated = $opening->dated();
            if ($dated === Instant::NEVER) {
                $gates[] = Gate::shut('Opening', $this->cell->said($step, $item, 'Only when somebody hands it out.'), $link);
            } elseif ($dated !== null) {
                $shut = $this->cell->at < $dated;
                $gates[] = new Gate('Opening', ! $shut, $this->cell->saidWith($step, $item, ($shut ? 'Opens ' : 'Out since ').$this->cell->clock->words($dated)), $shut ? $link : null);
            } elseif (in_array(Reason::NotYet, $why, true) && $opening->isRelative()) {
                $gates[] = Gate::shut('Opening', $this->cell->said($step, $item, 'Opens some days after joining, and who has no pass has not joined.'), $link);
            }
            if ($closing instanceof ClosesOn) {
                $shut = $this->cell->at >= $closing->at;
                $gates[] = new Gate('Closing', ! $shut, $this->cell->saidWith($step, $item, ($shut ? 'Closed since ' : 'Closes ').$this->cell->clock->words($closing->at)), $shut ? WhyLink::rule('Closing here', $this->cell->key($step), 'closes', $plan->name) : null);
            }
        }

        return $gates;
    }
}
