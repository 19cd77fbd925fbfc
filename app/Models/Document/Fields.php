<?php

declare(strict_types=1);

namespace App\Models\Document;

/** What a JSON object of a document has, by its type; what is left out or of another type is not there. */
abstract readonly class Fields
{
    final public function __construct(protected \stdClass $json)
    {
    }

    /** Null where it is no object. */
    public static function of(mixed $value): ?static
    {
        return $value instanceof \stdClass ? new static($value) : null;
    }

    /** Whether both are the same, member by member; what is not there is like nothing else. */
    public static function same(?self $one, ?self $other): bool
    {
        return json_encode($one?->json) === json_encode($other?->json);
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

    protected function int(string $field): ?int
    {
        $value = $this->json->{$field} ?? null;

        return is_int($value) || is_float($value) ? (int) $value : null;
    }

    protected function float(string $field): ?float
    {
        $value = $this->json->{$field} ?? null;

        return is_int($value) || is_float($value) ? (float) $value : null;
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
