<?php

declare(strict_types=1);

namespace App\Database\Copying;

use Closure;
use Illuminate\Database\Connection;

/**
 * Copies a whole school from one database to another: every row of every table, in one transaction, counted and compared before that is
 * over. What was in the other database is gone then. To be called while nobody writes to the first, as in a transaction of SQLite or in
 * one of PostgreSQL that sees one instant only.
 */
final readonly class CopySchool
{
    public function __construct(private Connection $from, private Connection $to)
    {
    }

    /**
     * @param  ?Closure(string, int): void  $told  called with each table that is copied, and its rows
     * @return array<string, int> rows by table
     *
     * @throws CannotCopy with the other database as it was before
     */
    public function __invoke(?Closure $told = null): array
    {
        $tables = SchoolTables::common($this->from, $this->to);
        $receiver = $this->to->getDriverName() === 'pgsql' ? new PgsqlReceiver($this->to) : new SqliteReceiver($this->to);
        $counts = [];
        $receiver->receive($tables, function () use ($tables, $receiver, $told, &$counts): void {
            foreach ($tables as $table) {
                $counts[$table->name] = $this->copy($table, $receiver);
                $told === null || $told($table->name, $counts[$table->name]);
            }
        });

        return $counts;
    }

    private function copy(CopiedTable $table, Receiver $receiver): int
    {
        $given = new Digest;
        foreach ((new RowReader($this->from))->chunks($table) as $rows) {
            $given->add($rows);
            $receiver->insert($table, $rows);
        }
        $taken = new Digest;
        foreach ((new RowReader($this->to))->chunks($table) as $rows) {
            $taken->add($rows);
        }
        if ($given->rows() !== $taken->rows() || $given->told() !== $taken->told()) {
            throw new CannotCopy("{$table->name}: {$given->rows()} rows were given and {$taken->rows()} taken, or they are not the same.");
        }

        return $taken->rows();
    }
}
