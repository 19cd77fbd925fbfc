<?php

declare(strict_types=1);

namespace App\Database;

use PDO;
use PDOException;

/**
 * A connection to SQLite whose transactions take the write lock as they begin. One that reads before it writes would
 * otherwise be refused at once, without any waiting, where another has written in between. (PDO can begin only deferred
 * ones before PHP 8.4; so it is told by statements.)
 */
final class ImmediatePdo extends PDO
{
    private bool $began = false;

    public function beginTransaction(): bool
    {
        $this->exec('BEGIN IMMEDIATE');

        return $this->began = true;
    }

    public function commit(): bool
    {
        $this->exec('COMMIT');
        $this->began = false;

        return true;
    }

    public function rollBack(): bool
    {
        $this->began = false;
        try {
            $this->exec('ROLLBACK');
        } catch (PDOException $e) {
            // Some errors, as of a full disk, have rolled back already; then there is nothing left to be taken back.
            if (! str_contains($e->getMessage(), 'no transaction is active')) {
                throw $e;
            }
        }

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->began;
    }

    /**
     * Of a connection that is kept for the next request ({@see PDO::ATTR_PERSISTENT}): nothing of this one is left in it, neither a transaction
     * that was never ended, with the lock that all others wait for, nor a table of its own.
     */
    public function leave(): void
    {
        try {
            $this->rollBack();
            $tables = $this->query("select name from temp.sqlite_master where type = 'table'");
            foreach ($tables === false ? [] : $tables->fetchAll(PDO::FETCH_COLUMN) as $table) {
                $this->exec('DROP TABLE temp."'.str_replace('"', '""', (string) $table).'"');
            }
            // What was read lies in the machine's memory anyway; each process need not have it once more.
            $this->exec('PRAGMA shrink_memory');
        } catch (PDOException) {
            // A connection that does not answer any more holds nothing either; the next one says what is wrong.
        }
    }
}
