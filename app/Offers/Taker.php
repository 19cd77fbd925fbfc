<?php

declare(strict_types=1);

namespace App\Offers;

use SilentKeep\Core\Viewing\Pass;

/** What of somebody bears on whether they may take an offer. */
final readonly class Taker
{
    /**
     * @param  array<int, Pass>  $passes  of whatever course and in whatever state, by their number in the order in which they were given; negative where it is nobody's real one
     * @param  list<string>  $labels  that they have now
     */
    public function __construct(public array $passes, public array $labels)
    {
    }

    /** @return array<int, Pass> of one offer */
    public function of(string $offer): array
    {
        return array_filter($this->passes, static fn (Pass $pass): bool => $pass->offer === $offer);
    }

    /** @param  list<string>  $offers */
    public function hasHeldOneOf(array $offers): bool
    {
        return array_filter($this->passes, static fn (Pass $pass): bool => in_array($pass->offer, $offers, true)) !== [];
    }
}
