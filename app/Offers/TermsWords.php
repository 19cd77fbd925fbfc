<?php

declare(strict_types=1);

namespace App\Offers;

use App\Access\SchoolClock;
use App\Models\Offer;
use App\Models\TakenAgain;
use App\Words\RuleWords;
use App\Words\Say;

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
                TakenAgain::Once => Say::text('terms.terms_words.once_per_person'),
                TakenAgain::Renewal => null,
                TakenAgain::Afterwards => Say::text('terms.terms_words.again_once_has_ended'),
            },
            $offer->not_after_course ? Say::text('terms.terms_words.not_after_another_pass') : null,
            $offer->not_after === [] ? null : Say::text('terms.terms_words.not_after_list', ['list' => RuleWords::enumeration(array_map(static fn (string $key): string => $names[$key] ?? $key, $offer->not_after), 'or')]),
            $offer->only_label === null ? null : Say::text('terms.terms_words.only_with_label_only', ['only_label' => $offer->only_label]),
            $offer->most === null ? null : Say::text('terms.terms_words.for_most_at_most', ['most' => $offer->most, 'left' => max(0, $offer->most - $taken)]),
            $offer->sold_from === null ? null : Say::text('terms.terms_words.from_when', ['when' => $this->clock->words($offer->sold_from->getTimestamp())]),
            $offer->sold_until === null ? null : Say::text('terms.terms_words.to_when', ['when' => $this->clock->words($offer->sold_until->getTimestamp())]),
        ]));
    }
}
