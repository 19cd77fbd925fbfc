<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use App\Models\CourseDocument;
use App\Models\Document\DocumentItem;
use App\Models\Document\DocumentOffer;
use SilentKeep\Core\Deciding\Samples;
use SilentKeep\Core\Rules\ViewerKind;

/** Why a value that somebody has set does nothing; null where it does something. */
final readonly class IneffectiveValues
{
    /**
     * @param  bool  $schoolGuests  whether the school lets guests in at all
     * @param  \Closure(): Samples  $samples  of these rules, where they are asked for
     */
    public function __construct(private CourseDocument $document, private ?string $plan, private bool $schoolGuests, private \Closure $samples)
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

    public function optional(DocumentItem $item): ?string
    {
        return $item->optional() === true && in_array($item->kind(), ['part', 'board'], true) ? "A {$item->kind()} holds nobody up." : null;
    }

    /**
     * @param  list<DocumentItem>  $path  what the item stands in
     * @param  int  $position  in reading order
     */
    public function sample(DocumentItem $item, array $path, int $position): ?string
    {
        if ($item->sample() === true && $item->only() !== null && ! ($this->samples)()->mayAdmit($position, ViewerKind::Member)) {
            return match (true) {
                ! ($this->samples)()->mayAdmit($position, ViewerKind::Visitor) => 'Its condition lets nobody see it without a pass.',
                $this->document->read()->sampleNeedsAccount() => 'It is for strangers alone, but samples of this course ask for an account.',
                default => null,
            };
        }
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
