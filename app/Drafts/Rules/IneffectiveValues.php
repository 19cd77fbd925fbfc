<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use App\Models\CourseDocument;
use App\Models\Document\DocumentItem;
use App\Models\Document\DocumentOffer;

/** Why a value that somebody has set does nothing; null where it does something. */
final readonly class IneffectiveValues
{
    /** @param  bool  $schoolGuests  whether the school lets guests in at all */
    public function __construct(private CourseDocument $document, private ?string $plan, private bool $schoolGuests)
    {
    }

    public function time(): ?string
    {
        $uses = array_filter($this->document->readOffers(), fn (DocumentOffer $offer): bool => $offer->plan() === $this->plan);

        return $uses === [] && $this->document->read()->mainPlan() !== $this->plan
            ? 'No offer uses this release plan, and it is not the main plan of the course.'
            : null;
    }

    public function order(DocumentItem $item): ?string
    {
        $inside = array_filter($item->items(), static fn (DocumentItem $one): bool => $one->kind() !== 'board' && ! $one->isDraft());

        return $item->inOrder() && $item->after() === null && count($inside) < 2
            ? 'There are not two things inside that could come one after the other.'
            : null;
    }

    /** @param  list<DocumentItem>  $path  what the item stands in */
    public function sample(DocumentItem $item, array $path): ?string
    {
        $bound = array_filter([...$path, $item], static fn (DocumentItem $one): bool => $one->tiers() !== null || $one->only() !== null);

        return $this->document->read()->entry() === 'anyone' && $item->sample() === true && $bound === []
            ? 'The course is open to anyone: there is nothing to give a taste of.'
            : null;
    }

    public function guests(DocumentItem $item): ?string
    {
        return match (true) {
            $item->guests() !== true => null,
            ! $this->schoolGuests => 'The school lets no guests in.',
            ! $this->document->read()->guestDoor()->open => 'The guest door of the course is shut.',
            default => null,
        };
    }

    public function observers(DocumentItem $item): ?string
    {
        return $item->observers() === true && ! $this->document->read()->observerDoor()->open ? 'The observer door of the course is shut.' : null;
    }
}
