<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;

/** Takes an offer out of a course. That nobody holds it is for the caller to have seen to. */
final readonly class DropOffer implements Edit
{
    public function __construct(private string $key)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        if (! $document->drop($this->key)) {
            throw CannotEdit::noSuchOffer($this->key);
        }
    }

    public function toArray(): array
    {
        return ['drop offer' => $this->key];
    }

    public function pointer(): string
    {
        return '/offers';
    }
}
