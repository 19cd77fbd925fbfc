<?php

declare(strict_types=1);

namespace SilentKeep\Core\Conditions;

use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\Offer;

/**
 * Which lessons count where a condition asks whether a module is done: those that are for this viewer on the route being
 * tried. What others alone are to see is not asked for; what was missed is.
 */
final class Counting
{
    /** @var ?list<bool> */
    private ?array $for = null;

    /**
     * @param  list<string>  $labels  that the viewer has at the instant
     * @param  array<int, true>  $done  positions of what the viewer has completed
     * @param  ?Offer  $offer  of the pass being tried
     * @param  ?OfferCoverage  $coverage  of that offer
     */
    public function __construct(
        private readonly Outline $outline,
        private readonly array $labels,
        private readonly array $done,
        private readonly ViewerKind $kind,
        private readonly ?Offer $offer,
        private readonly ?OfferCoverage $coverage,
    ) {
    }

    /** @return \Generator<int, int> positions in reading order */
    public function lessonsIn(int $module): \Generator
    {
        $this->for ??= Audiences::notSettledAgainst($this->outline, $this->undated());
        foreach ($this->outline->requiredLessons($module) as $at) {
            if ($this->for[$at] && ! $this->outline->draftOnPath[$at] && ($this->coverage === null || $this->coverage->covers($at))) {
                yield $at;
            }
        }
    }

    /** Observers are asked for what learners are: they follow one. */
    private function undated(): UndatedFacts
    {
        return new UndatedFacts($this->offer, $this->labels, $this->done, $this->kind === ViewerKind::Observer ? ViewerKind::Learner : $this->kind, $this->outline);
    }
}
