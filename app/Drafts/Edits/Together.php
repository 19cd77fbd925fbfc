<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;

/** Several edits as one, undone in one step: all of them are made, or none. */
final readonly class Together implements Edit
{
    /** @param  list<Edit>  $edits  in the order in which they are made */
    public function __construct(private array $edits)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        foreach ($this->edits as $edit) {
            $edit->applyTo($document);
        }
    }

    public function toArray(): array
    {
        return ['set' => 'together', 'edits' => array_map(static fn (Edit $edit): array => $edit->toArray(), $this->edits)];
    }

    public function pointer(): string
    {
        return '/courses/0';
    }
}
