<?php

declare(strict_types=1);

namespace App\Drafts\Plans;

use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;

/** Takes a release plan out. Whoever is paced by it is paced by another one, or gets everything at once. */
final readonly class DeletePlan implements Edit
{
    /** @param  ?string  $instead  the plan for those who were paced by it; null: all at once */
    public function __construct(private string $name, private ?string $instead)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $plans = PlanList::of($document);
        $plans->get($this->name);
        if ($this->instead !== null) {
            $plans->get($this->instead);
        }
        if ($this->instead === $this->name) {
            throw CannotEdit::noSuchPlan($this->name);
        }
        $document->repace($this->name, $this->instead);
        $plans->remove($this->name);
    }

    public function toArray(): array
    {
        return ['delete plan' => $this->name, 'instead' => $this->instead];
    }

    public function pointer(): string
    {
        return '/courses/0/plans';
    }
}
