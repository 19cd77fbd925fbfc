<?php

declare(strict_types=1);

namespace App\Models\Document;

/** How a lesson or part is finished, read. */
final readonly class DocumentFinish extends Fields
{
    /** As the plan format names it. */
    public function by(): string
    {
        return $this->text('by') ?? 'mark';
    }

    /** Of a video, or the score of a quiz, 0 to 1; null: not said, or nothing to be measured. */
    public function needed(): ?float
    {
        return $this->float('share') ?? $this->float('score');
    }
}
