<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use Illuminate\Database\Query\Builder;

/** A point in the past: what had been written into the ledger by then was known. */
final readonly class Moment
{
    /**
     * @param  int  $at  seconds since 1970; what was written in that second was known
     * @param  ?int  $entry  the last entry that was known, where several were written in that second; null: all of them
     */
    public function __construct(public int $at, public ?int $entry = null)
    {
    }

    /** Of entries of the ledger those that were there. */
    public function among(Builder $entries): Builder
    {
        $entries->where('at', '<=', $this->at);

        return $this->entry === null ? $entries : $entries->where('id', '<=', $this->entry);
    }

    public function had(Entry $entry): bool
    {
        return $entry->at <= $this->at && ($this->entry === null || $entry->id <= $this->entry);
    }
}
