<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;

/** Several fixes as one edit of the draft, undone in one step. */
final readonly class ApplyFixes implements Edit
{
    /** @param  list<Fix>  $fixes */
    public function __construct(private array $fixes)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        foreach ($this->fixes as $fix) {
            $fix->applyTo($document);
        }
    }

    public function toArray(): array
    {
        return ['set' => 'fix', 'steps' => array_map(static fn (Fix $fix): FixByRule => $fix->step(), $this->fixes)];
    }

    public function pointer(): string
    {
        return '/courses/0';
    }
}
