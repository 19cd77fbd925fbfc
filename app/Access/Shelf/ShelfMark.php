<?php

declare(strict_types=1);

namespace App\Access\Shelf;

use App\Models\CourseDocument;
use App\Models\Document\DocumentOffer;

/** What lists say of a published course, so that its rules need not be read for that. */
final readonly class ShelfMark
{
    /** @param  list<string>  $offers  keys of those that are published */
    public function __construct(public string $title, public string $state, public array $offers)
    {
    }

    public static function of(CourseDocument $document): self
    {
        return new self($document->title(), $document->read()->state(), array_map(static fn (DocumentOffer $offer): string => $offer->key(), $document->readOffers()));
    }
}
