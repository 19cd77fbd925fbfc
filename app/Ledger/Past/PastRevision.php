<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Models\CourseDocument;
use App\Models\Revision;

/** A revision with its rules read. */
final readonly class PastRevision
{
    private function __construct(public int $number, public ?string $note, public ?string $author, public CourseDocument $document)
    {
    }

    public static function of(Revision $revision): self
    {
        return new self($revision->number, $revision->note, $revision->author?->name, CourseDocument::fromJson($revision->document));
    }
}
