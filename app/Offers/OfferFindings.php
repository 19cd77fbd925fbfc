<?php

declare(strict_types=1);

namespace App\Offers;

use App\Access\SchoolClock;
use App\Models\CourseDocument;
use App\Models\Document\DocumentOffer;
use App\Models\Offer;
use App\Words\RuleWords;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Time\Instant;

/** What looks like a mistake in how a course is sold: told in Offers, above the course and before it is published. */
final readonly class OfferFindings
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /**
     * @param  CourseDocument  $document  of the same rules as the decider's
     * @param  iterable<Offer>  $offers  of the course
     * @return list<Sentence>
     */
    public function of(Decider $decider, CourseDocument $document, iterable $offers): array
    {
        $sold = [];
        foreach ($offers as $offer) {
            if ($document->hasOffer($offer->key)) {
                $sold[$offer->key] = $offer;
            }
        }

        return [...self::ofEach($decider, $document, $sold), ...$this->ofSale($decider, $sold), ...self::ofTiers($decider)];
    }

    /**
     * Guests are asked for a pass phrase at the door, and not again.
     *
     * @return list<Sentence>
     */
    public static function ofGuests(?CourseDocument $live, CourseDocument $document): array
    {
        return $live !== null && $live->read()->guestDoor()->open && $document->read()->guestDoor()->open && $live->guestPhrase() === null && $document->guestPhrase() !== null
            ? [Sentence::say('terms.offer_findings.guests_who_came_in')]
            : [];
    }

    /**
     * @param  array<array-key, Offer>  $offers  by key
     * @return list<Sentence>
     */
    private static function ofEach(Decider $decider, CourseDocument $document, array $offers): array
    {
        $findings = $seen = [];
        $lasts = [];
        foreach ($document->readOffers() as $offer) {
            $lasts[$offer->key()] = self::lasts($offer);
        }
        $outline = $decider->course->outline;
        foreach ($decider->course->offers as $access) {
            if (! isset($offers[$access->key])) {
                continue;
            }
            $name = $offers[$access->key]->name;
            $covered = array_keys(array_filter(array_keys($outline->items), $decider->prepared->coverage($access)->covers(...)));
            $opens = implode('|', [$access->plan->name ?? '', $lasts[$access->key] ?? '', implode(',', $access->labels), implode(',', $covered)]);
            if (isset($seen[$opens])) {
                $findings[] = Sentence::say('terms.offer_findings.title_and_title2_open', titles: ['title' => $seen[$opens], 'title2' => $name]);
            }
            $seen[$opens] = $name;
            if ($outline->count() > 0 && $access->labels === [] && array_filter($covered, $outline->isPublishedLesson(...)) === []) {
                $findings[] = Sentence::say('terms.offer_findings.title_opens_no_lesson', titles: ['title' => $name]);
            }
        }

        return $findings;
    }

    private static function lasts(DocumentOffer $offer): string
    {
        return RuleWords::lasts($offer->lasts());
    }

    /**
     * @param  array<array-key, Offer>  $offers  by key
     * @return list<Sentence>
     */
    private function ofSale(Decider $decider, array $offers): array
    {
        $findings = [];
        $entry = $decider->course->entry;
        $sold = array_filter($offers, static fn (Offer $offer): bool => $offer->price !== null);
        $priced = array_filter($offers, static fn (Offer $offer): bool => ($offer->price ?? 0) > 0);
        foreach ($sold as $key => $offer) {
            $end = $decider->prepared->plan->offer((string) $key)?->lasts->end($this->clock->now(), $decider->prepared->plan->zone) ?? Instant::NEVER;
            $findings[] = match (true) {
                $entry === Entry::Invite => Sentence::say('terms.offer_findings.title_has_price_and', titles: ['title' => $offer->name]),
                $entry === Entry::Anyone && $offer->price > 0 => Sentence::say('terms.offer_findings.title_sold_but_course', titles: ['title' => $offer->name]),
                $end <= max($this->clock->now(), $decider->course->opens ?? 0) => Sentence::say('terms.offer_findings.title_not_sold_any', titles: ['title' => $offer->name]),
                $offer->price === 0 && ! $offer->trial && $priced !== [] => Sentence::say('terms.offer_findings.title_free_and_no', titles: ['title' => $offer->name]),
                default => null,
            };
        }
        if ($offers !== [] && $sold === [] && $entry === Entry::Offer) {
            $findings[] = Sentence::say('terms.offer_findings.way_in_by_offer');
        }

        return array_values(array_filter($findings));
    }

    /** @return list<Sentence> */
    private static function ofTiers(Decider $decider): array
    {
        $given = array_map(static fn ($offer): ?string => $offer->tier, $decider->course->offers);

        return array_map(
            static fn (string $tier): Sentence => Sentence::say('terms.offer_findings.no_offer_gives_tier', ['tier' => $tier]),
            array_values(array_filter($decider->course->tiers, static fn (string $tier): bool => ! in_array($tier, $given, true))),
        );
    }
}
