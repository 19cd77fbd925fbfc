<?php

declare(strict_types=1);

namespace App\Database\Copying;

use App\Database\Value;
use Closure;
use Illuminate\Database\Connection;
use PDOException;

final readonly class PgsqlReceiver implements Receiver
{
    public function __construct(private Connection $connection)
    {
    }

    public function receive(array $tables, Closure $copy): void
    {
        $this->connection->transaction(function () use ($tables, $copy): void {
            // Tables name each other in circles: what they demand of each other is asked again when all of them are filled.
            $demands = $this->connection->select("select conrelid::regclass::text as \"table\", quote_ident(conname) as named, pg_get_constraintdef(oid) as says from pg_constraint where contype = 'f' and connamespace = 'public'::regnamespace order by 1, 2");
            foreach ($demands as $demand) {
                $this->connection->unprepared('alter table '.Value::text($demand->table ?? null).' drop constraint '.Value::text($demand->named ?? null));
            }
            foreach ($tables as $table) {
                $this->connection->unprepared("alter table \"{$table->name}\" disable trigger user; truncate \"{$table->name}\"");
            }
            $copy();
            foreach ($tables as $table) {
                $this->connection->unprepared("alter table \"{$table->name}\" enable trigger user");
                if ($table->key === ['id'] && $table->columns['id'] === 'integer') {
                    $this->connection->select("select setval(pg_get_serial_sequence('\"{$table->name}\"', 'id'), greatest(1, coalesce((select max(id) from \"{$table->name}\"), 0)), exists (select 1 from \"{$table->name}\"))");
                }
            }
            foreach ($demands as $demand) {
                $this->demand(Value::text($demand->table ?? null), Value::text($demand->named ?? null), Value::text($demand->says ?? null));
            }
        });
        $this->connection->unprepared('analyze');
    }

    public function insert(CopiedTable $table, array $rows): void
    {
        $lines = [];
        foreach ($rows as $row) {
            $lines[] = implode("\t", array_map(static fn (?string $value): string => $value === null ? '\N' : addcslashes($value, "\\\t\n\r"), $row));
        }
        $columns = implode(', ', array_map(static fn (string $name): string => "\"{$name}\"", $table->names()));
        try {
            $this->connection->getPdo()->pgsqlCopyFromArray("\"{$table->name}\"", $lines, "\t", '\\\\N', $columns);
        } catch (PDOException $e) {
            throw new CannotCopy("PostgreSQL does not take a row of {$table->name}: ".preg_replace('/\s+/', ' ', $e->getMessage()), previous: $e);
        }
    }

    private function demand(string $table, string $named, string $says): void
    {
        try {
            $this->connection->unprepared("alter table {$table} add constraint {$named} {$says}");
        } catch (PDOException $e) {
            throw new CannotCopy("Rows of {$table} name others that are not there ({$named}): ".preg_replace('/\s+/', ' ', $e->getMessage()), previous: $e);
        }
    }
}
