<?php

declare(strict_types=1);

namespace App\Database;

use Closure;
use Illuminate\Database\PostgresConnection;
use Illuminate\Database\QueryException;
use PDOException;

/**
 * PostgreSQL with one writer at a time in each database, as SQLite has it: whatever is looked at in a transaction is as it will be when
 * that is over, on however many application servers. Transactions take the lock as they begin, writes outside of one for themselves
 * alone; reading never waits. Whoever waits too long (`busy_timeout`, in milliseconds) is told so.
 */
final class OneWriterPgsql extends PostgresConnection implements OneWriter
{
    use HandsOutLists;

    /** Of the advisory lock, which is each database's own. */
    private const LOCK = 741_852_963;

    private const WRITES = '/^\s*(insert|update|delete)\b/i';

    /** What the database was told of who writes in this transaction. */
    private ?string $toldHand = null;

    /** Milliseconds to wait now; null: as long as is usual. */
    private ?int $patience = null;

    public function atOnceOrNot(Closure $write): bool
    {
        // One is waited for at least: none at all would be for ever.
        $this->patience = 1;
        try {
            $this->transaction($write);

            return true;
        } catch (QueryException|PDOException $e) {
            return Busy::was($e) ? false : throw $e;
        } finally {
            $this->patience = null;
        }
    }

    public function withRoom(Closure $do): mixed
    {
        $this->unprepared("set work_mem = '256MB'");
        try {
            return $do();
        } finally {
            $this->unprepared('reset work_mem');
        }
    }

    /**
     * @param  string  $query
     * @param  array<array-key, mixed>  $bindings
     * @param  bool  $useReadPdo
     * @return array<array-key, mixed>
     */
    public function select($query, $bindings = [], $useReadPdo = true)
    {
        // A row that is made tells its number.
        return $this->inTurn($query, fn (): array => parent::select($query, $bindings, $useReadPdo));
    }

    /**
     * @param  string  $query
     * @param  array<array-key, mixed>  $bindings
     */
    public function statement($query, $bindings = []): bool
    {
        return $this->inTurn($query, fn (): bool => parent::statement($query, $bindings));
    }

    /**
     * @param  string  $query
     * @param  array<array-key, mixed>  $bindings
     */
    public function affectingStatement($query, $bindings = []): int
    {
        return $this->inTurn($query, fn (): int => parent::affectingStatement($query, $bindings));
    }

    protected function getDefaultSchemaGrammar(): PgsqlTypes
    {
        return new PgsqlTypes($this);
    }

    protected function executeBeginTransactionStatement(): void
    {
        if ($this->getConfig('one_writer') === false) {
            parent::executeBeginTransactionStatement();

            return;
        }
        $wait = $this->patience ?? Value::int($this->getConfig('busy_timeout'));
        $pdo = $this->getPdo();
        try {
            $this->toldHand = null;
            $pdo->exec("begin; set local lock_timeout = {$wait}; select pg_advisory_xact_lock(".self::LOCK.')');
        } catch (PDOException $e) {
            // A connection that was lost is in no transaction any more.
            if ($pdo->inTransaction()) {
                $pdo->exec('rollback');
            }
            throw $e;
        }
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
    private function inTurn(string $query, Closure $do): mixed
    {
        if (preg_match(self::WRITES, $query) !== 1 || $this->getConfig('one_writer') === false) {
            return $do();
        }
        if ($this->transactions === 0) {
            return $this->transaction(fn (): mixed => $this->inHand($do));
        }

        return $this->inHand($do);
    }

    /**
     * The ledger is told who writes, why and when, where that has changed since the last write.
     *
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
    private function inHand(Closure $do): mixed
    {
        $hand = app(Hand::class);
        $pdo = $this->getPdo();
        $tell = sprintf("select set_config('keep.at', '%d', true), set_config('keep.by', %s, true), set_config('keep.cause', %s, true)", $hand->now(), $pdo->quote($hand->by()), $pdo->quote($hand->cause()));
        if ($tell !== $this->toldHand) {
            $pdo->exec($tell);
            $this->toldHand = $tell;
        }

        return $do();
    }
}
