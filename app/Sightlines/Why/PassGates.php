<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Words\RuleWords;
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
            Gate::passed('Pass', Sentence::of('{}, active, '.$this->cell->dates($reading->pass).'.', $reading->offer->title ?? $reading->offer->key)),
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
            return Gate::passed('Scope', Sentence::of('The pass covers the whole course.'));
        }
        $titles = array_map($this->cell->title(...), $scope);
        $list = $titles === [] ? 'nothing' : RuleWords::enumeration(array_fill(0, count($titles), '{}'), 'and');

        return new Gate('Scope', $reading->coverage->inScope[$item], Sentence::of("The pass covers {$list} only.", ...$titles));
    }

    private function tier(int $item, PassReading $reading): Gate
    {
        $tier = $reading->offer->tier;
        $carries = $tier === null ? 'this pass carries no tier.' : "this pass carries {$tier}.";
        $told = null;
        foreach ($this->cell->outline->path[$item] as $step) {
            $tiers = $this->cell->outline->items[$step]->tiers;
            if ($tiers === null) {
                continue;
            }
            $passes = $tier !== null && in_array($tier, $tiers, true);
            $for = $tiers === [] ? 'no pass at all' : RuleWords::enumeration($tiers, 'or').' passes';
            $told = new Gate('Tier', $passes, $this->cell->said($step, $item, "For {$for}; {$carries}"), $passes ? null : WhyLink::rule('Tiers here', $this->cell->key($step), 'tiers'));
            if (! $passes) {
                return $told;
            }
        }

        return $told ?? Gate::passed('Tier', Sentence::of('For every tier.'));
    }

    private function opening(int $item, PassReading $reading): Gate
    {
        $release = $reading->schedule->release[$item];
        if ($reading->offer->plan === null) {
            return new Gate('Opening', $this->cell->at >= $release, Sentence::of($this->cell->at >= $release ? 'At once: this offer has no release plan.' : 'From '.$this->cell->clock->words($release).'.'));
        }
        // The uppermost item that opens no earlier says when.
        $binding = $item;
        foreach ($this->cell->outline->path[$item] as $step) {
            if ($reading->schedule->release[$step] === $release) {
                $binding = $step;
                break;
            }
        }
        $link = WhyLink::rule('Opening here', $this->cell->key($binding), 'opens', $reading->offer->plan->name);

        return match (true) {
            $release === Instant::NEVER => Gate::shut('Opening', $this->cell->said($binding, $item, 'Only when somebody hands it out.'), $link),
            $this->cell->at < $release && $release === $this->cell->decider->course->opens => Gate::shut('Opening', Sentence::of('Opens with the course.')),
            $this->cell->at < $release => Gate::shut('Opening', $this->cell->saidWith($binding, $item, 'Opens '.$this->cell->clock->words($release)), $link),
            default => Gate::passed('Opening', $this->cell->saidWith($binding, $item, 'Out since '.$this->cell->clock->words($release))),
        };
    }

    private function closing(int $item, PassReading $reading): Gate
    {
        $closing = $reading->schedule->closing[$item];
        if ($closing === Instant::NEVER) {
            return Gate::passed('Closing', Sentence::of('Never closes.'));
        }
        $binding = $item;
        foreach ($this->cell->outline->path[$item] as $step) {
            if ($reading->schedule->closing[$step] === $closing) {
                $binding = $step;
                break;
            }
        }
        $shut = $this->cell->at >= $closing;

        return new Gate('Closing', ! $shut, $this->cell->saidWith($binding, $item, ($shut ? 'Closed since ' : 'Closes ').$this->cell->clock->words($closing)), $shut ? WhyLink::rule('Closing here', $this->cell->key($binding), 'closes', $reading->offer->plan?->name) : null);
    }

    private function first(int $item, PassReading $reading): Gate
    {
        $unmet = $reading->unmet($item);
        if ($unmet === []) {
            $complete = $reading->progress->isComplete($item);

            return Gate::passed('First', Sentence::of($complete ? 'They have finished it: it stays open.' : 'Nothing has to come first any more.'));
        }
        $stuck = in_array(Reason::Stuck, $reading->failing($item, ViewerKind::Learner), true);
        $titles = array_map($this->cell->title(...), $reading->waitsFor($item));
        $list = RuleWords::enumeration(array_fill(0, count($titles), '{}'), 'and');
        $first = $unmet[0];
        $byOrder = $reading->progress->afterMet($first);
        $above = $this->cell->outline->parent[$first];
        $link = match (true) {
            ! $byOrder => WhyLink::rule('Order here', $this->cell->key($first), 'after'),
            $above >= 0 => WhyLink::rule('Order here', $this->cell->key($above), 'inOrder'),
            default => WhyLink::course('Order of the course'),
        };
        $words = match (true) {
            $titles === [] => 'More has to be finished first than there is.',
            count($titles) === 1 => "{$list} is not finished".($stuck ? ', and this pass never lets them finish it.' : '.'),
            default => "{$list} are not finished".($stuck ? ', and this pass never lets them finish enough of it.' : '.'),
        };

        return Gate::shut('First', Sentence::of($words, ...$titles), $link);
    }
}
