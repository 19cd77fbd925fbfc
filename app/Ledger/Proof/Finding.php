<?php

declare(strict_types=1);

namespace App\Ledger\Proof;

/** Something that is not as it was written. */
final readonly class Finding
{
    /**
     * @param  'missing'|'altered'|'head'|'document'|'row'  $kind  entries are missing; one is not as it was written, or not where; the end is not the one that was noted; the document of a revision is another; rows are not as the ledger says
     * @param  string  $place  which entry, revision or rows, in the words of the table
     */
    public function __construct(public string $kind, public string $place, public int $count = 1)
    {
    }

    /** In words for whoever runs the machine. */
    public function told(): string
    {
        return match ($this->kind) {
            'missing' => $this->count === 1 ? "Entry {$this->place} is missing." : "{$this->count} entries are missing: {$this->place}.",
            'altered' => $this->count === 1 ? "Entry {$this->place} is not as it was written, or not where it was." : "{$this->count} entries are not as they were written, or not where they were: {$this->place}.",
            'head' => "Entry {$this->place} is not the one that was noted when it was the last.",
            'document' => "The document of revision {$this->place} is another than the one that was published.",
            'row' => ($this->count === 1 ? 'A row is' : "{$this->count} rows are")." not as the ledger says: {$this->place}.",
        };
    }
}
