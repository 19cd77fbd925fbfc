<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;

/** One change of a draft. */
interface Edit
{
    /**
     * Changes the document in place.
     *
     * @throws CannotEdit if there is nothing of the kind to change
     */
    public function applyTo(CourseDocument $document): void;

    /** @return array<string, mixed> what was set where, for the draft's list of edits */
    public function toArray(): array;

    /** The pointer, in a plan document of this course alone, below which an offence is this edit's. */
    public function pointer(): string;
}
