<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use App\Models\CourseDocument;
use App\Models\Document\DocumentItem;
use App\Models\Document\DocumentOffer;
use App\Words\Say;
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
            ? Say::text('drafts.ineffective_values.no_offer_uses_release')
            : null;
    }

    public function order(DocumentItem $item): ?string
    {
        $inside = array_filter($item->items(), static fn (DocumentItem $one): bool => $one->kind() !== 'board' && ! $one->isDraft());

        return $item->inOrder() && $item->after() === null && count($inside) < 2
            ? Say::text('drafts.ineffective_values.there_not_two_things')
            : null;
    }

    public function optional(DocumentItem $item): ?string
    {
        return $item->optional() === true && in_array($item->kind(), ['part', 'board'], true) ? Say::text('drafts.ineffective_values.kind_holds_nobody_up', ['kind' => $item->kind()]) : null;
    }

    /**
     * @param  list<DocumentItem>  $path  what the item stands in
     * @param  int  $position  in reading order
     */
    public function sample(DocumentItem $item, array $path, int $position): ?string
    {
        if ($item->sample() === true && $item->only() !== null && ! ($this->samples)()->mayAdmit($position, ViewerKind::Member)) {
            return match (true) {
                ! ($this->samples)()->mayAdmit($position, ViewerKind::Visitor) => Say::text('drafts.ineffective_values.its_condition_lets_nobody'),
                $this->document->read()->sampleNeedsAccount() => Say::text('drafts.ineffective_values.for_strangers_alone_but'),
                default => null,
            };
        }
        $bound = array_filter([...$path, $item], static fn (DocumentItem $one): bool => $one->tiers() !== null || $one->only() !== null);

        return $this->document->read()->entry() === 'anyone' && $item->sample() === true && $bound === []
            ? Say::text('drafts.ineffective_values.course_open_anyone_there')
            : null;
    }

    public function guests(DocumentItem $item): ?string
    {
        return match (true) {
            $item->guests() !== true => null,
            ! $this->schoolGuests => Say::text('drafts.ineffective_values.school_lets_no_guests'),
            ! $this->document->read()->guestDoor()->open => Say::text('drafts.ineffective_values.guest_door_course_shut'),
            default => null,
        };
    }

    public function observers(DocumentItem $item): ?string
    {
        return $item->observers() === true && ! $this->document->read()->observerDoor()->open ? Say::text('drafts.ineffective_values.observer_door_course_shut') : null;
    }
}
