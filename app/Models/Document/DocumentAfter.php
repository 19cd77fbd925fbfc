<?php

declare(strict_types=1);

namespace App\Models\Document;

/** Prerequisites of an item by name, read. */
final readonly class DocumentAfter extends Fields
{
    /** @return 'all'|'any'|'at_least' of {@see items()} */
    public function mode(): string
    {
        return match (true) {
            $this->texts('any') !== null => 'any',
            $this->texts('of') !== null => 'at_least',
            default => 'all',
        };
    }

    /** @return list<string> keys of items */
    public function items(): array
    {
        return $this->texts($this->mode() === 'at_least' ? 'of' : $this->mode()) ?? [];
    }

    /** How many of them are enough; null: that is not said. */
    public function atLeast(): ?int
    {
        return $this->int('at_least');
    }
}
