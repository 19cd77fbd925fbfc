<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;

/** Puts a whole document in the place of the draft's: its outline, rules, doors, plans and offers. */
final readonly class PutPlan implements Edit
{
    public function __construct(private CourseDocument $plan)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $document->become($this->plan->copy());
    }

    public function toArray(): array
    {
        return ['put plan' => $this->plan->title()];
    }

    public function pointer(): string
    {
        return '';
    }
}
