<?php

declare(strict_types=1);

namespace App\Database\Copying;

use App\Database\Value;
use Closure;
use Illuminate\Database\Connection;

final readonly class SqliteReceiver implements Receiver
{
    /** How many values one statement may have. */
    private const VALUES = 30_000;

    public function __construct(private Connection $connection)
    {
    }

    public function receive(array $tables, Closure $copy): void
    {
        // Not to be turned off inside a transaction.
        $this->connection->unprepared('pragma foreign_keys = off');
        try {
            $this->connection->transaction(function () use ($tables, $copy): void {
                // What the database notes by itself is copied like all else; its own full-text index is filled.
                $notes = $this->connection->select("select name, sql from sqlite_master where type = 'trigger' and name not like 'row\\_titles\\_%' escape '\\'");
                foreach ($notes as $note) {
                    $this->connection->unprepared('drop trigger '.Value::text($note->name ?? null));
                }
                foreach ($tables as $table) {
                    $this->connection->unprepared("delete from \"{$table->name}\"");
                }
                $copy();
                foreach ($notes as $note) {
                    $this->connection->unprepared(Value::text($note->sql ?? null));
                }
                foreach ($this->connection->select('pragma foreign_key_check') as $lost) {
                    throw new CannotCopy('Rows of '.Value::text($lost->table ?? null).' name others of '.Value::text($lost->parent ?? null).' that are not there.');
                }
            });
        } finally {
            $this->connection->unprepared('pragma foreign_keys = on');
        }
    }

    public function insert(CopiedTable $table, array $rows): void
    {
        $columns = implode(', ', array_map(static fn (string $name): string => "\"{$name}\"", $table->names()));
        $values = '('.implode(', ', array_fill(0, count($table->columns), '?')).')';
        foreach (array_chunk($rows, max(1, intdiv(self::VALUES, count($table->columns)))) as $some) {
            $this->connection->insert("insert into \"{$table->name}\" ({$columns}) values ".implode(', ', array_fill(0, count($some), $values)), array_merge(...$some));
        }
    }
}
