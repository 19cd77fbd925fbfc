<?php

declare(strict_types=1);

namespace App\Drafts\Plans;

use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;

/** Gives a release plan another name, everywhere. */
final readonly class RenamePlan implements Edit
{
    public function __construct(private string $name, private string $to)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        if ($this->to === $this->name) {
            return;
        }
        $plans = PlanList::of($document);
        $plans->refuseTaken($this->to);
        $plans->rename($this->name, $this->to);
    }

    public function toArray(): array
    {
        return ['rename plan' => $this->name, 'to' => $this->to];
    }

    public function pointer(): string
    {
        return '/courses/0/plans';
    }
}
