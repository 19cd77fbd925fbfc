<?php

declare(strict_types=1);

namespace App\Drafts\Plans;

use App\Drafts\Edits\CannotEdit;
use App\Models\CourseDocument;
use App\Models\Document\WritablePlan;

/** The release plans of a document, changed in place. */
final readonly class PlanList
{
    private function __construct(private CourseDocument $document)
    {
    }

    public static function of(CourseDocument $document): self
    {
        return new self($document);
    }

    /** @return list<string> in the order in which they were made */
    public function names(): array
    {
        return $this->document->read()->planNames();
    }

    /** @throws CannotEdit if there is none of this name */
    public function get(string $name): WritablePlan
    {
        return $this->document->edit()->plan($name) ?? throw CannotEdit::noSuchPlan($name);
    }

    /** @throws CannotEdit if there is one of this name, in whatever case */
    public function refuseTaken(string $name): void
    {
        foreach ($this->names() as $taken) {
            if (mb_strtolower($taken) === mb_strtolower($name)) {
                throw CannotEdit::planTaken($taken);
            }
        }
    }

    /** A copy of it. */
    public function put(string $name, WritablePlan $plan): void
    {
        $this->document->edit()->setPlans([...$this->all(), [$name, $plan]]);
    }

    public function remove(string $name): void
    {
        $this->document->edit()->setPlans(array_values(array_filter($this->all(), static fn (array $pair): bool => $pair[0] !== $name)));
    }

    /** @return list<array{string, WritablePlan}> */
    private function all(): array
    {
        return array_map(fn (string $name): array => [$name, $this->get($name)], $this->names());
    }

    /** @throws CannotEdit */
    public function rename(string $name, string $to): void
    {
        $this->get($name);
        $this->document->renamePlan($name, $to);
    }
}
