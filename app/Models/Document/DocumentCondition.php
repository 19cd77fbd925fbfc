<?php

declare(strict_types=1);

namespace App\Models\Document;

/** A condition, read: one member, which is what it asks. */
final readonly class DocumentCondition extends Fields
{
    /** As the plan format names it; empty where it asks nothing. */
    public function asks(): string
    {
        return (string) array_key_first(get_object_vars($this->json));
    }

    /** A label, a tier, a key or a wall-clock time; empty where it is made of others. */
    public function value(): string
    {
        return $this->text($this->asks()) ?? '';
    }

    /** @return list<?self> those that it is made of; null: everyone */
    public function parts(): array
    {
        $value = $this->json->{$this->asks()} ?? null;

        return array_map(self::of(...), is_array($value) ? array_values($value) : [$value]);
    }

    /** @return list<string> keys of items that it wants done, or not done */
    public function itemsDone(): array
    {
        return $this->asks() === 'done' ? [$this->value()] : array_merge([], ...array_map(static fn (?self $part): array => $part?->itemsDone() ?? [], $this->parts()));
    }
}
