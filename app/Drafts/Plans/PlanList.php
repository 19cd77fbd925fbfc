<?php

declare(strict_types=1);

namespace App\Drafts\Plans;

use App\Drafts\Edits\CannotEdit;
use App\Models\CourseDocument;

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
        return array_column($this->document->plans(), 0);
    }

    /** @throws CannotEdit if there is none of this name */
    public function get(string $name): \stdClass
    {
        $plan = array_column($this->document->plans(), 1, 0)[$name] ?? null;

        return $plan instanceof \stdClass ? $plan : throw CannotEdit::noSuchPlan($name);
    }

    /** @throws CannotEdit */
    public function copyOf(string $name): \stdClass
    {
        $copy = json_decode((string) json_encode($this->get($name)));
        assert($copy instanceof \stdClass);

        return $copy;
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

    public function put(string $name, \stdClass $plan): void
    {
        $this->document->setPlans([...$this->document->plans(), [$name, $plan]]);
    }

    public function remove(string $name): void
    {
        $this->document->setPlans(array_values(array_filter($this->document->plans(), static fn (array $pair): bool => $pair[0] !== $name)));
    }

    /** @throws CannotEdit */
    public function rename(string $name, string $to): void
    {
        $this->get($name);
        $this->document->renamePlan($name, $to);
    }
}
