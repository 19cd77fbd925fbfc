<?php

declare(strict_types=1);

namespace App\Models\Document;

/** What a JSON object of a document has, by its type; what is left out or of another type is not there. */
abstract readonly class Fields
{
    public function __construct(protected \stdClass $json)
    {
    }

    public function key(): string
    {
        return $this->text('key') ?? '';
    }

    public function title(): string
    {
        return $this->text('title') ?? $this->key();
    }

    /** Whether it has other values there; what is left out and what is null are the same. */
    public function differsIn(?self $other, string ...$fields): bool
    {
        foreach ($other === null ? [] : $fields as $field) {
            if (json_encode($this->json->{$field} ?? null) !== json_encode($other->json->{$field} ?? null)) {
                return true;
            }
        }

        return false;
    }

    protected function text(string $field): ?string
    {
        $value = $this->json->{$field} ?? null;

        return is_string($value) ? $value : null;
    }

    protected function bool(string $field): ?bool
    {
        $value = $this->json->{$field} ?? null;

        return is_bool($value) ? $value : null;
    }

    /** @return ?list<string> */
    protected function texts(string $field): ?array
    {
        $value = $this->json->{$field} ?? null;

        return is_array($value) ? array_values(array_filter($value, is_string(...))) : null;
    }

    protected function object(string $field): ?\stdClass
    {
        $value = $this->json->{$field} ?? null;

        return $value instanceof \stdClass ? $value : null;
    }

    /** @return list<\stdClass> */
    protected function objects(string $field): array
    {
        $value = $this->json->{$field} ?? null;

        return is_array($value) ? array_values(array_filter($value, static fn (mixed $one): bool => $one instanceof \stdClass)) : [];
    }
}
