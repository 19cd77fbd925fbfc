<?php

declare(strict_types=1);

namespace App\Database;

use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Database\SQLiteConnection;
use PDOException;
use Throwable;

/**
 * SQLite has one writer at a time: the others wait for their turn, until a deadline (`busy_timeout`, in milliseconds).
 * SQLite itself waits for most of it; where it does not dare to (another connection is just being closed, or
 * recovers the log), the statement is tried again.
 */
final class WaitingConnection extends SQLiteConnection
{
    private const BUSY = 5;

    private const LOCKED = 6;

    /** Whether statements wait for their turn now. */
    private bool $waits = true;

    /** Whether the database was busy with somebody else until the deadline. */
    public static function wasBusy(Throwable $error): bool
    {
        for ($one = $error; $one !== null; $one = $one->getPrevious()) {
            if ($one instanceof PDOException && in_array((int) ($one->errorInfo[1] ?? 0) & 0xFF, [self::BUSY, self::LOCKED], true)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Runs a write of little weight at once or not at all: it is given up where it would have to wait.
     *
     * @param  Closure(): void  $write
     * @return bool whether it was done
     */
    public function atOnceOrNot(Closure $write): bool
    {
        $this->reconnectIfMissingConnection();
        $this->wait(0);
        try {
            $write();

            return true;
        } catch (QueryException|PDOException $e) {
            return self::wasBusy($e) ? false : throw $e;
        } finally {
            $this->wait($this->patience());
        }
    }

    /**
     * Runs something that touches very many rows, with more of the database in memory than is usual: what is written stays
     * there until it is committed.
     *
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
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
                if (! self::wasBusy($e) || ! $this->waits || microtime(true) >= $deadline) {
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
