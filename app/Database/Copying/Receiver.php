<?php

declare(strict_types=1);

namespace App\Database\Copying;

use Closure;

/** A database with all tables of a school, into which rows are copied as they are: nothing is reckoned from them on the way. */
interface Receiver
{
    /**
     * Empties the tables, and does what copies all of them in one transaction: afterwards rows name only rows that are there, and new rows
     * get new numbers.
     *
     * @param  list<CopiedTable>  $tables
     * @param  Closure(): void  $copy
     *
     * @throws CannotCopy if rows name others that are not there
     */
    public function receive(array $tables, Closure $copy): void;

    /**
     * @param  non-empty-list<list<?string>>  $rows  values in the order of the table's columns
     *
     * @throws CannotCopy if the database does not take what is in them
     */
    public function insert(CopiedTable $table, array $rows): void;
}
