<?php

declare(strict_types=1);

namespace SilentKeep\Core\Conditions;

use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\ConditionFacts;
use SilentKeep\Core\Rules\Truth;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\Offer;

/** A viewer on one route whom no date binds: `from`, `until` and what is done of a module may all still come out either way. */
final readonly class UndatedFacts implements ConditionFacts
{
    /**
     * @param  ?Offer  $offer  of the pass being tried
     * @param  list<string>  $labels
     * @param  ?array<int, true>  $done  positions of what has been completed; null: of everything it is open
     */
    public function __construct(
        private ?Offer $offer,
        private array $labels,
        private ?array $done = null,
        private ViewerKind $kind = ViewerKind::Learner,
        private ?Outline $outline = null,
    ) {
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
        return isset($this->done[$item]) && $this->outline?->items[$item]->kind !== Kind::Module ? Truth::Yes : Truth::Open;
    }

    public function isFrom(int $instant): Truth
    {
        return Truth::Open;
    }

    public function isUntil(int $instant): Truth
    {
        return Truth::Open;
    }
}
