<?php

declare(strict_types=1);

namespace App\Drafts\Plans;

use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;
use App\Models\Document\WritablePlan;

/** Makes a release plan, empty or with the times of another. The first one of a course is its main plan. */
final readonly class MakePlan implements Edit
{
    public function __construct(private string $name, private ?string $like)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $plans = PlanList::of($document);
        $plans->refuseTaken($this->name);
        $plans->put($this->name, $this->like === null ? WritablePlan::none() : $plans->get($this->like));
        if (count($plans->names()) === 1 && $document->read()->mainPlan() === null) {
            $document->edit()->set('main_plan', $this->name);
        }
    }

    public function toArray(): array
    {
        return ['make plan' => $this->name, 'like' => $this->like];
    }

    public function pointer(): string
    {
        return '/courses/0/plans';
    }
}
