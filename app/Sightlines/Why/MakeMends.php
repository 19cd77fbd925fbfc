<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;

/** Several mends as one edit of the draft, undone in one step. */
final readonly class MakeMends implements Edit
{
    /** @param  list<Mend>  $mends */
    public function __construct(private array $mends)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        foreach ($this->mends as $mend) {
            $mend->applyTo($document);
        }
    }

    public function toArray(): array
    {
        return ['set' => 'mend', 'steps' => array_map(static fn (Mend $mend): MendStep => $mend->step(), $this->mends)];
    }

    public function pointer(): string
    {
        return '/courses/0';
    }
}
