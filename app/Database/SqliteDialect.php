<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;

final class SqliteDialect implements Dialect
{
    public function least(string ...$values): string
    {
        return 'min('.implode(', ', $values).')';
    }

    public function greatest(string ...$values): string
    {
        return 'max('.implode(', ', $values).')';
    }

    public function object(array $members): string
    {
        return 'json_object('.implode(', ', array_map(static fn (string $name, string $value): string => "'{$name}', {$value}", array_keys($members), $members)).')';
    }

    public function digest(string $text): string
    {
        return "keep_digest({$text})";
    }

    public function seconds(string $instant): string
    {
        return "unixepoch({$instant})";
    }

    public function gathered(string $name, string $value): string
    {
        return "json_group_object({$name}, {$value})";
    }

    public function contains(string $text, string $part): string
    {
        return "instr({$text}, {$part}) > 0";
    }

    public function elements(string $list, string $alias): string
    {
        return "json_each({$list}) as {$alias}";
    }

    public function members(string $object, string $alias): string
    {
        return "json_each({$object}) as {$alias}";
    }

    public function member(string $table, string $object, string $member): string
    {
        return "json_extract({$object}, '$.{$member}')";
    }

    public function laidDown(string $table, array $members, array $objects, string $from): string
    {
        $values = [];
        foreach ($members as $member) {
            foreach ($objects as $object) {
                $values[] = "{$this->member($table, $object, $member)} as {$object}_{$member}";
            }
        }

        return 'select row_id, '.implode(', ', $values)." from {$from}";
    }

    public function inThisOrder(): string
    {
        return 'cross join';
    }

    public function like(string $text): string
    {
        return "{$text} like ? escape '\\'";
    }

    public function rowsFound(): string
    {
        return 'id in (select rowid from row_words where row_words match ?)';
    }

    public function words(): array
    {
        return ['begun' => '"%s"*', 'whole' => '"%s"', 'or' => ' OR ', 'and' => ' AND '];
    }

    public function keepNumbers(string $table, int $count): int
    {
        $is = Value::int(DB::table($table)->max('id'));
        DB::table('sqlite_sequence')->where('name', $table)->exists() || DB::table('sqlite_sequence')->insert(['name' => $table, 'seq' => 0]);
        $last = max($is, Value::int(DB::table('sqlite_sequence')->where('name', $table)->value('seq'))) + $count;
        DB::table('sqlite_sequence')->where('name', $table)->update(['seq' => $last]);

        return $last;
    }

    public function naming(string $table): array
    {
        $naming = DB::select('select m.name as "table", k."from" as "column" from sqlite_master m join pragma_foreign_key_list(m.name) k on k."table" = ? where m.type = \'table\' order by 1, 2', [$table]);

        return array_map(static fn (object $one): array => [Value::text($one->table ?? null), Value::text($one->column ?? null)], array_values($naming));
    }

    public function tables(): array
    {
        // Those of the full-text index are the database's own.
        return Value::texts(DB::table('sqlite_master')->where('type', 'table')->whereRaw("name not like 'sqlite\\_%' escape '\\'")->whereRaw("name not like 'row\\_words%' escape '\\'")->orderBy('name')->pluck('name'));
    }

    public function overwriteDeleted(): void
    {
        // What is deleted is overwritten (secure_delete); what was there before may still stand in the log that is written ahead.
        DB::statement('pragma wal_checkpoint(truncate)');
    }
}
