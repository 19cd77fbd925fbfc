<?php

declare(strict_types=1);

namespace App\Database;

use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Database\SQLiteConnection;
use PDOException;

/**
 * SQLite has one writer at a time: the others wait for their turn, until a deadline (`busy_timeout`, in milliseconds).
 * SQLite itself waits for most of it; where it does not dare to (another connection is just being closed, or
 * recovers the log), the statement is tried again.
 */
final class WaitingConnection extends SQLiteConnection implements OneWriter
{
    use HandsOutLists;

    /** Whether statements wait for their turn now. */
    private bool $waits = true;

    public function atOnceOrNot(Closure $write): bool
    {
        $this->reconnectIfMissingConnection();
        $this->wait(0);
        try {
            $write();

            return true;
        } catch (QueryException|PDOException $e) {
            return Busy::was($e) ? false : throw $e;
        } finally {
            $this->wait($this->patience());
        }
    }

    /** What is written stays in memory until it is committed. */
    public function withRoom(Closure $do): mixed
    {
        $usual = $this->scalar('PRAGMA cache_size');
        $this->statement('PRAGMA cache_size = -262144');
        try {
            return $do();
        } finally {
            $this->statement('PRAGMA cache_size = '.(is_numeric($usual) ? (int) $usual : -2000));
        }
    }

    protected function executeBeginTransactionStatement(): void
    {
        $this->untilDeadline(fn () => $this->getPdo()->beginTransaction());
    }

    /**
     * @param  string  $query
     * @param  array<array-key, mixed>  $bindings
     */
    protected function runQueryCallback($query, $bindings, Closure $callback): mixed
    {
        // In a transaction the lock is held already; and a part of one is not to be done twice.
        return $this->transactions > 0
            ? parent::runQueryCallback($query, $bindings, $callback)
            : $this->untilDeadline(fn (): mixed => parent::runQueryCallback($query, $bindings, $callback));
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
    private function untilDeadline(Closure $do): mixed
    {
        $deadline = microtime(true) + $this->patience() / 1000;
        while (true) {
            try {
                return $do();
            } catch (QueryException|PDOException $e) {
                if (! Busy::isLocked($e) || ! $this->waits || microtime(true) >= $deadline) {
                    throw $e;
                }
            }
            // Not all at the same moment again.
            usleep(random_int(2_000, 20_000));
        }
    }

    private function wait(int $milliseconds): void
    {
        $this->waits = $milliseconds > 0;
        $this->getPdo()->exec("PRAGMA busy_timeout = {$milliseconds}");
    }

    private function patience(): int
    {
        $patience = $this->getConfig('busy_timeout');

        return is_numeric($patience) ? (int) $patience : 0;
    }
}
