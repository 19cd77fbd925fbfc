<?php

declare(strict_types=1);

namespace App\Offers;

use App\Access\SchoolClock;
use App\Models\Offer;
use App\Models\TakenAgain;
use App\Words\RuleWords;

/** Who may take an offer, as the school reads it. */
final readonly class TermsWords
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /**
     * @param  array<array-key, string>  $names  of all offers, by key
     * @param  int  $taken  people who hold it or have held it
     * @return list<string>
     */
    public function of(Offer $offer, array $names, int $taken): array
    {
        return array_values(array_filter([
            match ($offer->again) {
                TakenAgain::Once => 'once per person',
                TakenAgain::Renewal => null,
                TakenAgain::Afterwards => 'again once it has ended',
            },
            $offer->not_after_course ? 'not after another pass of the course' : null,
            $offer->not_after === [] ? null : 'not after '.RuleWords::enumeration(array_map(static fn (string $key): string => $names[$key] ?? $key, $offer->not_after), 'or'),
            $offer->only_label === null ? null : "only with the label {$offer->only_label}",
            $offer->most === null ? null : "for {$offer->most} at most, ".max(0, $offer->most - $taken).' left',
            $offer->sold_from === null ? null : 'from '.$this->clock->words($offer->sold_from->getTimestamp()),
            $offer->sold_until === null ? null : 'to '.$this->clock->words($offer->sold_until->getTimestamp()),
        ]));
    }
}
