<?php

declare(strict_types=1);

namespace App\Keep\Edits;

use App\Keep\CourseDocument;

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
        return array_map(strval(...), array_keys($this->all()));
    }

    /** @throws CannotEdit if there is none of this name */
    public function get(string $name): \stdClass
    {
        $plan = $this->all()[$name] ?? null;

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
        $this->store([...$this->pairs(), [$name, $plan]]);
    }

    public function remove(string $name): void
    {
        $this->store(array_values(array_filter($this->pairs(), static fn (array $pair): bool => $pair[0] !== $name)));
    }

    /** @throws CannotEdit */
    public function rename(string $name, string $to): void
    {
        $this->get($name);
        $this->store(array_map(static fn (array $pair): array => $pair[0] === $name ? [$to, $pair[1]] : $pair, $this->pairs()));
        $this->replace($name, $to);
    }

    /** Wherever one plan paces somebody, another does from now on; null: none. */
    public function replace(string $name, ?string $by): void
    {
        foreach ([[$this->document->course, 'main_plan'], ...array_map(static fn (\stdClass $offer): array => [$offer, 'plan'], $this->document->offers)] as [$on, $field]) {
            if (($on->{$field} ?? null) === $name) {
                $on->{$field} = $by;
            }
        }
    }

    /** @return array<array-key, mixed> */
    private function all(): array
    {
        $plans = $this->document->course->plans ?? null;

        return $plans instanceof \stdClass ? get_object_vars($plans) : [];
    }

    /** @return list<array{string, mixed}> */
    private function pairs(): array
    {
        $all = $this->all();

        return array_map(static fn (int|string $name, mixed $plan): array => [(string) $name, $plan], array_keys($all), array_values($all));
    }

    /** @param  list<array{string, mixed}>  $pairs */
    private function store(array $pairs): void
    {
        $plans = new \stdClass;
        foreach ($pairs as [$name, $plan]) {
            $plans->{$name} = $plan;
        }
        $this->document->course->plans = $plans;
    }
}
