<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Words\RuleWords;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\PassReading;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;

/** The gates of a pass in the order in which they are tried, for the pass that opens an item or comes nearest. */
final readonly class PassGates
{
    public function __construct(private CellContext $cell)
    {
    }

    /** @return list<Gate> */
    public function of(int $item, PassReading $reading): array
    {
        return [
            Gate::passed(Say::text('why.gate.pass'), Sentence::say('why.pass_gates.title_active_dates', ['dates' => $this->cell->dates($reading->pass)], ['title' => $reading->offer->title ?? $reading->offer->key])),
            $this->scope($item, $reading),
            $this->tier($item, $reading),
            $this->cell->forWhom($item, $reading->conditionInTheWay($item)),
            $this->opening($item, $reading),
            $this->closing($item, $reading),
            $this->first($item, $reading),
        ];
    }

    private function scope(int $item, PassReading $reading): Gate
    {
        $scope = $reading->offer->scope;
        if ($scope === null) {
            return Gate::passed(Say::text('why.gate.scope'), Sentence::say('why.pass_gates.pass_covers_whole_course'));
        }
        $titles = array_map($this->cell->title(...), $scope);
        $list = $titles === [] ? Say::text('why.pass_gates.nothing') : RuleWords::enumeration(array_map(Sentence::title(...), $titles), 'and');

        return new Gate(Say::text('why.gate.scope'), $reading->coverage->inScope[$item], Sentence::say('why.pass_gates.pass_covers_list', ['list' => $list]));
    }

    private function tier(int $item, PassReading $reading): Gate
    {
        $tier = $reading->offer->tier;
        $carries = $tier === null ? Say::text('why.pass_gates.pass_carries_no_tier') : Say::text('why.pass_gates.this_pass_carries_tier', ['tier' => $tier]);
        $told = null;
        foreach ($this->cell->outline->path[$item] as $step) {
            $tiers = $this->cell->outline->items[$step]->tiers;
            if ($tiers === null) {
                continue;
            }
            $passes = $tier !== null && in_array($tier, $tiers, true);
            $for = $tiers === [] ? Say::text('why.pass_gates.no_pass_at_all') : Say::text('why.pass_gates.list_passes', ['list' => RuleWords::enumeration($tiers, 'or')]);
            $told = new Gate(Say::text('why.gate.tier'), $passes, $this->cell->said($step, $item, Say::text('why.pass_gates.for_for_carries', ['for' => $for, 'carries' => $carries])), $passes ? null : WhyLink::rule(Say::text('why.pass_gates.tiers_here'), $this->cell->key($step), 'tiers'));
            if (! $passes) {
                return $told;
            }
        }

        return $told ?? Gate::passed(Say::text('why.gate.tier'), Sentence::say('why.pass_gates.for_every_tier'));
    }

    private function opening(int $item, PassReading $reading): Gate
    {
        $release = $reading->schedule->release[$item];
        if ($reading->offer->plan === null) {
            return new Gate(Say::text('why.gate.opening'), $this->cell->at >= $release, $this->cell->at >= $release ? Sentence::say('why.pass_gates.at_once_offer_has') : Sentence::say('why.pass_gates.from_when', ['when' => $this->cell->clock->words($release)]));
        }
        // The uppermost item that opens no earlier says when.
        $binding = $item;
        foreach ($this->cell->outline->path[$item] as $step) {
            if ($reading->schedule->release[$step] === $release) {
                $binding = $step;
                break;
            }
        }
        $link = WhyLink::rule(Say::text('why.pass_gates.opening_here'), $this->cell->key($binding), 'opens', $reading->offer->plan->name);

        return match (true) {
            $release === Instant::NEVER => Gate::shut(Say::text('why.gate.opening'), $this->cell->said($binding, $item, Say::text('why.pass_gates.only_when_somebody_hands')), $link),
            $this->cell->at < $release && $release === $this->cell->decider->course->opens => Gate::shut(Say::text('why.gate.opening'), Sentence::say('why.pass_gates.opens_with_the_course')),
            $this->cell->at < $release => Gate::shut(Say::text('why.gate.opening'), $this->cell->saidWith($binding, $item, Say::text('why.pass_gates.opens_when', ['when' => $this->cell->clock->words($release)])), $link),
            default => Gate::passed(Say::text('why.gate.opening'), $this->cell->saidWith($binding, $item, Say::text('why.pass_gates.out_since_when', ['when' => $this->cell->clock->words($release)]))),
        };
    }

    private function closing(int $item, PassReading $reading): Gate
    {
        $closing = $reading->schedule->closing[$item];
        if ($closing === Instant::NEVER) {
            return Gate::passed(Say::text('why.gate.closing'), Sentence::say('why.pass_gates.never_closes'));
        }
        $binding = $item;
        foreach ($this->cell->outline->path[$item] as $step) {
            if ($reading->schedule->closing[$step] === $closing) {
                $binding = $step;
                break;
            }
        }
        $shut = $this->cell->at >= $closing;

        return new Gate(Say::text('why.gate.closing'), ! $shut, $this->cell->saidWith($binding, $item, Say::text($shut ? 'why.pass_gates.closed_since_when' : 'why.pass_gates.closes_when', ['when' => $this->cell->clock->words($closing)])), $shut ? WhyLink::rule(Say::text('why.pass_gates.closing_here'), $this->cell->key($binding), 'closes', $reading->offer->plan?->name) : null);
    }

    private function first(int $item, PassReading $reading): Gate
    {
        $unmet = $reading->unmet($item);
        if ($unmet === []) {
            $complete = $reading->progress->isComplete($item);

            return Gate::passed(Say::text('why.gate.first'), Sentence::say($complete ? 'why.pass_gates.they_have_finished_stays' : 'why.pass_gates.nothing_has_come_first'));
        }
        $stuck = in_array(Reason::Stuck, $reading->failing($item, ViewerKind::Learner), true);
        $titles = array_map($this->cell->title(...), $reading->waitsFor($item));
        $list = RuleWords::enumeration(array_map(Sentence::title(...), $titles), 'and');
        $first = $unmet[0];
        $byOrder = $reading->progress->afterMet($first);
        $above = $this->cell->outline->parent[$first];
        $link = match (true) {
            ! $byOrder => WhyLink::rule(Say::text('why.pass_gates.order_here'), $this->cell->key($first), 'after'),
            $above >= 0 => WhyLink::rule(Say::text('why.pass_gates.order_here'), $this->cell->key($above), 'inOrder'),
            default => WhyLink::course(Say::text('why.pass_gates.order_of_the_course')),
        };
        $words = $titles === []
            ? Sentence::say('why.pass_gates.more_has_be_finished')
            : Sentence::say($stuck ? 'why.pass_gates.never_finished' : 'why.pass_gates.not_finished', ['list' => $list, 'count' => count($titles)]);

        return Gate::shut(Say::text('why.gate.first'), $words, $link);
    }
}
