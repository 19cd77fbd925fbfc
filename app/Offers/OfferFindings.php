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
            ? [Sentence::of('Guests who came in before stay inside: the pass phrase is asked for at the door alone.')]
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
                $findings[] = Sentence::of('{} and {} open exactly the same, in the same pace and for as long.', $seen[$opens], $name);
            }
            $seen[$opens] = $name;
            if ($outline->count() > 0 && $access->labels === [] && array_filter($covered, $outline->isPublishedLesson(...)) === []) {
                $findings[] = Sentence::of('{} opens no lesson at all.', $name);
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
                $entry === Entry::Invite => Sentence::of('{} has a price, and is not sold: the course is by invitation only.', $offer->name),
                $entry === Entry::Anyone && $offer->price > 0 => Sentence::of('{} is sold, but the course is open to anyone: it brings only what has tiers or conditions.', $offer->name),
                $end <= max($this->clock->now(), $decider->course->opens ?? 0) => Sentence::of('{} is not sold any more: a pass of it would end before it began.', $offer->name),
                $offer->price === 0 && ! $offer->trial && $priced !== [] => Sentence::of('{} is free, and is no trial, on a course that is sold elsewhere.', $offer->name),
                default => null,
            };
        }
        if ($offers !== [] && $sold === [] && $entry === Entry::Offer) {
            $findings[] = Sentence::of('The way in is by an offer, and none is sold or free: passes come from the school alone.');
        }

        return array_values(array_filter($findings));
    }

    /** @return list<Sentence> */
    private static function ofTiers(Decider $decider): array
    {
        $given = array_map(static fn ($offer): ?string => $offer->tier, $decider->course->offers);

        return array_map(
            static fn (string $tier): Sentence => Sentence::of("No offer gives the tier {$tier}: what is for it alone opens to nobody."),
            array_values(array_filter($decider->course->tiers, static fn (string $tier): bool => ! in_array($tier, $given, true))),
        );
    }
}
