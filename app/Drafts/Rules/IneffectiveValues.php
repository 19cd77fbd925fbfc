<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use App\Models\CourseDocument;

/** Why a value that somebody has set does nothing; null where it does something. */
final readonly class IneffectiveValues
{
    /** @param  bool  $schoolGuests  whether the school lets guests in at all */
    public function __construct(private CourseDocument $document, private ?string $plan, private bool $schoolGuests)
    {
    }

    public function time(): ?string
    {
        $uses = array_filter($this->document->offers, fn (\stdClass $offer): bool => ($offer->plan ?? null) === $this->plan);

        return $uses === [] && ($this->document->course->main_plan ?? null) !== $this->plan
            ? 'No offer uses this release plan, and it is not the main plan of the course.'
            : null;
    }

    public function order(\stdClass $item): ?string
    {
        $inside = array_filter(
            is_array($item->items ?? null) ? $item->items : [],
            static fn (mixed $one): bool => $one instanceof \stdClass && ($one->kind ?? null) !== 'board' && ($one->draft ?? false) !== true,
        );

        return ($item->in_order ?? false) === true && ($item->after ?? null) === null && count($inside) < 2
            ? 'There are not two things inside that could come one after the other.'
            : null;
    }

    /** @param  list<\stdClass>  $path  what the item stands in */
    public function sample(\stdClass $item, array $path): ?string
    {
        $bound = array_filter([...$path, $item], static fn (\stdClass $one): bool => ($one->tiers ?? null) !== null || ($one->only ?? null) !== null);

        return ($this->document->course->entry ?? null) === 'anyone' && ($item->sample ?? false) === true && $bound === []
            ? 'The course is open to anyone: there is nothing to give a taste of.'
            : null;
    }

    public function guests(\stdClass $item): ?string
    {
        return match (true) {
            ($item->guests ?? null) !== true => null,
            ! $this->schoolGuests => 'The school lets no guests in.',
            ! $this->isOpen('guest_door') => 'The guest door of the course is shut.',
            default => null,
        };
    }

    public function observers(\stdClass $item): ?string
    {
        return ($item->observers ?? null) === true && ! $this->isOpen('observer_door') ? 'The observer door of the course is shut.' : null;
    }

    private function isOpen(string $door): bool
    {
        $door = $this->document->course->{$door} ?? null;

        return $door instanceof \stdClass && ($door->open ?? false) === true;
    }
}
