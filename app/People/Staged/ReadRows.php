<?php

declare(strict_types=1);

namespace App\People\Staged;

/** Rows of one table that are made, changed or taken away alike, in a table of this connection alone. */
final readonly class ReadRows
{
    /**
     * @param  string  $name  of that table: `row_id`, and each column twice, `before_` and `after_`
     * @param  string  $table  whose rows they are
     * @param  string  $kind  make, change or take
     * @param  list<string>  $columns
     */
    public function __construct(public string $name, public string $table, public string $kind, public array $columns)
    {
    }
}
