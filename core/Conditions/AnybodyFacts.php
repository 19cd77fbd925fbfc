<?php

declare(strict_types=1);

namespace SilentKeep\Core\Conditions;

use SilentKeep\Core\Rules\ConditionFacts;
use SilentKeep\Core\Rules\Truth;
use SilentKeep\Core\Rules\ViewerKind;

/** Somebody without a pass of whom nothing is known but what they are called: what is false of them is false of all their kind, ever. */
final readonly class AnybodyFacts implements ConditionFacts
{
    public function __construct(private ViewerKind $kind)
    {
    }

    public function hasLabel(string $label): Truth
    {
        return Truth::Open;
    }

    public function hasTier(string $tier): bool
    {
        return false;
    }

    public function isByOffer(string $offer): bool
    {
        return false;
    }

    public function isKind(ViewerKind $kind): bool
    {
        return $this->kind === $kind;
    }

    public function isDone(int $item): Truth
    {
        return Truth::Open;
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
