<?php

declare(strict_types=1);

namespace SilentKeep\Core\Conditions;

use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\ConditionFacts;
use SilentKeep\Core\Rules\Truth;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\Offer;

/**
 * A viewer at one instant on one route.
 *
 * Read as it stands, what is not done and what lies in the future is simply not so. Read for what may
 * still come, it is open: not done yet, not reached yet, not past yet.
 */
final readonly class MomentFacts implements ConditionFacts
{
    private Counting $counting;

    /**
     * @param  list<string>  $labels  that the viewer has at the instant
     * @param  array<int, true>  $done  positions of what the viewer has completed
     * @param  ?Offer  $offer  of the pass being tried
     * @param  ?OfferCoverage  $coverage  of that offer
     */
    private function __construct(
        private Outline $outline,
        private array $labels,
        private array $done,
        private int $at,
        private ViewerKind $kind,
        private ?Offer $offer,
        ?OfferCoverage $coverage,
        private bool $mayStillChange,
    ) {
        $this->counting = new Counting($outline, $labels, $done, $kind, $offer, $coverage);
    }

    /**
     * @param  list<string>  $labels  that the viewer has at the instant
     * @param  array<int, true>  $done
     */
    public static function asItStands(Outline $outline, array $labels, array $done, int $at, ViewerKind $kind, ?Offer $offer = null, ?OfferCoverage $coverage = null): self
    {
        return new self($outline, $labels, $done, $at, $kind, $offer, $coverage, mayStillChange: false);
    }

    /**
     * For the holder of a pass, who is always a learner here.
     *
     * @param  list<string>  $labels  that the viewer has at the instant
     * @param  array<int, true>  $done
     */
    public static function asItMayCome(Outline $outline, array $labels, array $done, int $at, Offer $offer, OfferCoverage $coverage): self
    {
        return new self($outline, $labels, $done, $at, ViewerKind::Learner, $offer, $coverage, mayStillChange: true);
    }

    public function hasLabel(string $label): Truth
    {
        return Truth::of(in_array($label, $this->labels, true));
    }

    public function hasTier(string $tier): bool
    {
        return $this->offer !== null && $this->offer->tier === $tier;
    }

    public function isByOffer(string $offer): bool
    {
        return $this->offer?->key === $offer;
    }

    public function isKind(ViewerKind $kind): bool
    {
        return $this->kind === $kind;
    }

    public function isDone(int $item): Truth
    {
        if ($this->outline->items[$item]->kind !== Kind::Module) {
            return isset($this->done[$item]) ? Truth::Yes : $this->notYet();
        }
        $counting = 0;
        foreach ($this->counting->lessonsIn($item) as $at) {
            if (! isset($this->done[$at])) {
                return $this->notYet();
            }
            $counting++;
        }

        return Truth::of($counting > 0);
    }

    public function isFrom(int $instant): Truth
    {
        return $this->at >= $instant ? Truth::Yes : $this->notYet();
    }

    public function isUntil(int $instant): Truth
    {
        return $this->at < $instant ? ($this->mayStillChange ? Truth::Open : Truth::Yes) : Truth::No;
    }

    private function notYet(): Truth
    {
        return $this->mayStillChange ? Truth::Open : Truth::No;
    }
}
