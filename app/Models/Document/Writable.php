<?php

declare(strict_types=1);

namespace App\Models\Document;

/** A thing of a document that is changed in place. What it says is read by its reader. */
abstract readonly class Writable
{
    final public function __construct(protected \stdClass $json)
    {
    }

    public function key(): string
    {
        return is_string($this->json->key ?? null) ? $this->json->key : '';
    }

    public function title(): string
    {
        return is_string($this->json->title ?? null) ? $this->json->title : $this->key();
    }

    /** As the plan format has it; null: nothing set. What says the same as before stays as it was written. */
    public function set(string $field, mixed $value): void
    {
        $value = $value instanceof Fields ? $value->raw() : $value;
        if ($value === null) {
            unset($this->json->{$field});
        } elseif (json_encode($this->json->{$field} ?? null) !== json_encode($value)) {
            $this->json->{$field} = $value;
        }
    }

    /** Says of a field what another thing says of it, or nothing as that does. */
    public function copy(self $from, string $field): void
    {
        $this->set($field, json_decode((string) json_encode($from->json->{$field} ?? null, JSON_PRESERVE_ZERO_FRACTION)));
    }

    public function is(self $other): bool
    {
        return $this->json === $other->json;
    }
}
