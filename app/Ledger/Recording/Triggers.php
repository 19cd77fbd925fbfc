<?php

declare(strict_types=1);

namespace App\Ledger\Recording;

/** What a database is told so that it writes the ledger by itself. */
interface Triggers
{
    /** @return list<string> statements; those that were told before make way */
    public function rules(): array;

    /** A query that finds something where the last of the rules stands. */
    public function standing(): string;

    /** @return list<string> statements by which nothing is written any more, and entries can be put in and taken out */
    public function undone(): array;
}
