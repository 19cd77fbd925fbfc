<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Conditions\Audiences;
use SilentKeep\Core\Conditions\MomentFacts;
use SilentKeep\Core\Conditions\OfferCoverage;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/** One pass in the hands of its holder at one instant: its gates, item by item. */
final class PassReading
{
    public readonly Schedule $schedule;

    public readonly OfferCoverage $coverage;

    public readonly PassProgress $progress;

    /** @var array<string, list<bool>> by the kind as which conditions are read */
    private array $audience = [];

    private ?PassProgress $best = null;

    /**
     * @param  list<string>  $labels  that the holder has at the instant
     * @param  array<int, true>  $done  positions of what the holder has completed by then
     */
    public function __construct(
        private readonly PreparedCourse $prepared,
        public readonly Pass $pass,
        public readonly Offer $offer,
        private readonly Viewer $holder,
        private readonly array $labels,
        private readonly array $done,
        private readonly int $at,
    ) {
        $this->coverage = $prepared->coverage($offer);
        $this->schedule = $prepared->schedule($pass, $offer);
        $outline = $prepared->outline;
        $possible = Audiences::notSettledAgainst($outline, MomentFacts::asItMayCome($outline, $labels, $done, $at, $offer, $this->coverage));
        $eligible = [];
        foreach ($outline->items as $item => $it) {
            $eligible[] = $it->kind !== Kind::Board && ! $outline->draftOnPath[$item] && $this->coverage->covers($item) && $possible[$item];
        }
        $this->progress = new PassProgress($outline, $prepared->course->inOrder, $eligible, $done);
    }

    public function opens(int $item, ViewerKind $kind): bool
    {
        return $this->failing($item, $kind) === [];
    }

    /** @return list<Reason> the codes of all failing gates, in the order of the gates */
    public function failing(int $item, ViewerKind $kind): array
    {
        $release = $this->schedule->release[$item];

        return array_values(array_filter([
            $this->coverage->inScope[$item] ? null : Reason::NotInPass,
            $this->coverage->inTier[$item] ? null : Reason::Tier,
            $this->audienceHolds($item, $kind) ? null : Reason::NotForYou,
            $this->at >= $release ? null : ($release === Instant::NEVER ? Reason::Held : Reason::NotYet),
            $this->at < $this->schedule->closing[$item] ? null : Reason::Closed,
            $this->progressObjection($item),
        ]));
    }

    /**
     * What is still to be finished before the item opens, nearest first.
     *
     * @return list<int> positions in reading order
     */
    public function waitsFor(int $item): array
    {
        return array_values(array_unique(array_merge([], ...array_map($this->progress->waitsFor(...), $this->way($item)))));
    }

    /**
     * What stands in the way by having to come first: of the item and those above it, the ones whose prerequisites are not met.
     *
     * @return list<int> from the item upward
     */
    public function unmet(int $item): array
    {
        return array_values(array_filter($this->way($item), fn (int $step): bool => ! $this->progress->prerequisitesMet($step)));
    }

    /** The first item of the path whose condition its holder does not meet; null: they meet all. */
    public function conditionInTheWay(int $item, ViewerKind $kind = ViewerKind::Learner): ?int
    {
        foreach ($this->prepared->outline->path[$item] as $step) {
            if (! $this->audienceHolds($step, $kind)) {
                return $step;
            }
        }

        return null;
    }

    private function audienceHolds(int $item, ViewerKind $kind): bool
    {
        $this->audience[$kind->value] ??= Audiences::holding($this->prepared->outline, MomentFacts::asItStands(
            $this->prepared->outline, $this->labels, $this->done, $this->at, $kind, $this->offer, $this->coverage,
        ));

        return $this->audience[$kind->value][$item];
    }

    private function progressObjection(int $item): ?Reason
    {
        $way = $this->way($item);
        $objection = null;
        foreach ($way as $step) {
            if (! $this->progress->prerequisitesMet($step)) {
                $objection = Reason::Progress;
            }
        }
        foreach ($objection === null ? [] : $way as $step) {
            if (! $this->atBest()->prerequisitesMet($step)) {
                $objection = Reason::Stuck;
            }
        }

        return $objection;
    }

    /**
     * From the item up its path as far as the first complete one, that one left out: what someone has
     * finished stays open to them.
     *
     * @return list<int>
     */
    private function way(int $item): array
    {
        $way = [];
        foreach (array_reverse($this->prepared->outline->path[$item]) as $step) {
            if ($this->progress->isComplete($step)) {
                break;
            }
            $way[] = $step;
        }

        return $way;
    }

    /** Progress if everything were done that this pass or a grant can still bring within reach. */
    private function atBest(): PassProgress
    {
        if ($this->best !== null) {
            return $this->best;
        }
        $outline = $this->prepared->outline;
        $granted = [];
        foreach ($this->holder->grants as $grant) {
            $position = $outline->positionOf($grant->item);
            if ($position !== null && $grant->until > $this->at) {
                $granted[] = $position;
            }
        }
        $more = [];
        foreach ($outline->items as $item => $it) {
            if (($it->kind === Kind::Lesson || $it->kind === Kind::Part) && $this->progress->eligible[$item] && ($this->willOpen($item) || $this->underOneOf($granted, $item))) {
                $more[$item] = true;
            }
        }

        return $this->best = $this->progress->supposing($more);
    }

    private function willOpen(int $item): bool
    {
        $release = $this->schedule->release[$item];
        $closing = $this->schedule->closing[$item];

        return $release !== Instant::NEVER && $closing > $this->at && $closing > $release;
    }

    /** @param  list<int>  $containers */
    private function underOneOf(array $containers, int $item): bool
    {
        foreach ($containers as $container) {
            if ($this->prepared->outline->lies($item, $container)) {
                return true;
            }
        }

        return false;
    }
}
