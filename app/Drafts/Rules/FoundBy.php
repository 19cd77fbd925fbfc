<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use App\Models\CourseDocument;
use App\Models\Document\DocumentItem;
use App\Words\RuleWords;
use App\Words\Say;

/** The words by which a row is found for what is set for it: "sample", "for journeyman", "opens Tue 22 Dec". */
final readonly class FoundBy
{
    /** @var array<array-key, string> by key */
    private array $titles;

    /** @var array<array-key, string> by key */
    private array $offers;

    public function __construct(private CourseDocument $document, private ?string $plan, private int $year)
    {
        $this->titles = array_map(static fn (DocumentItem $item): string => $item->title(), $document->readItems());
        $offers = [];
        foreach ($document->readOffers() as $offer) {
            $offers[$offer->key()] = $offer->title();
        }
        $this->offers = $offers;
    }

    /** Null where nothing is set. */
    public function words(DocumentItem $item): ?string
    {
        $course = $this->document->read();
        $title = fn (string $key): string => $this->titles[$key] ?? $key;
        $offer = fn (string $key): string => $this->offers[$key] ?? $key;
        $said = static fn (string $what, ?string $words): ?string => $words === null ? null : Say::text("drafts.found_by.{$what}", ['words' => $words]);
        $opens = $this->plan === null ? null : RuleWords::opening($course->time($this->plan, $item->key(), 'opens'), $this->year);
        $closes = $this->plan === null ? null : RuleWords::closing($course->time($this->plan, $item->key(), 'closes'), $this->year);
        $words = array_filter([
            $said('opens', $opens),
            $said('closes', $closes),
            $said('after', RuleWords::after($item->after(), $title)),
            $said('for', $item->tiers() === null ? null : RuleWords::enumeration($item->tiers(), 'or')),
            $said('for', $item->only() === null ? null : RuleWords::condition($item->only(), $title, $offer)),
            $item->sample() === true ? Say::text('drafts.found_by.sample') : null,
            $item->optional() === true ? Say::text('drafts.found_by.optional') : null,
            $item->guests() === true ? Say::text('drafts.found_by.guests') : null,
            $item->observers() === true ? Say::text('drafts.found_by.observers') : null,
            $item->hidesWhenClosed() ? Say::text('drafts.found_by.hidden') : null,
            $item->finish() === null ? null : $said('finished', RuleWords::finish($item->finish())),
        ], static fn (?string $one): bool => $one !== null);

        return $words === [] ? null : implode(' · ', $words);
    }
}
