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
}
