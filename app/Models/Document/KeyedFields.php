<?php

declare(strict_types=1);

namespace App\Models\Document;

/** A thing of a document that goes by a key. */
abstract readonly class KeyedFields extends Fields
{
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
}
