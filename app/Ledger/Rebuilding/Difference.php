<?php

declare(strict_types=1);

namespace App\Ledger\Rebuilding;

/** How a table differs from what the ledger says. */
final readonly class Difference
{
    /**
     * @param  int  $lacking  rows that the ledger has and the table has not
     * @param  int  $surplus  the other way round
     * @param  int  $other  rows that say something else
     * @param  string  $first  key of the first of them all
     */
    public function __construct(public int $rows, public int $lacking, public int $surplus, public int $other, public string $first)
    {
    }

    public function count(): int
    {
        return $this->lacking + $this->surplus + $this->other;
    }
}
