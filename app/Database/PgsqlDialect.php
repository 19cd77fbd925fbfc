<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;

final class PgsqlDialect implements Dialect
{
    public function least(string ...$values): string
    {
        return 'least('.implode(', ', $values).')';
    }

    public function greatest(string ...$values): string
    {
        return 'greatest('.implode(', ', $values).')';
    }

    public function object(array $members): string
    {
        // Times as they are written elsewhere, without a T.
        return $members === [] ? "'{}'" : 'cast(json_build_object('.implode(', ', array_map(static fn (string $name, string $value): string => "'{$name}', cast({$value} as text)", array_keys($members), $members)).') as text)';
    }

    public function digest(string $text): string
    {
        return "encode(sha256(convert_to({$text}, 'UTF8')), 'base64')";
    }

    public function seconds(string $instant): string
    {
        return "extract(epoch from cast({$instant} as timestamp))::bigint";
    }

    public function gathered(string $name, string $value): string
    {
        return "cast(json_object_agg({$name}, {$value}) as text)";
    }

    public function contains(string $text, string $part): string
    {
        return "strpos(cast({$text} as text), {$part}) > 0";
    }

    public function elements(string $list, string $alias): string
    {
        return "json_array_elements_text(cast({$list} as json)) as {$alias}(value)";
    }

    public function members(string $object, string $alias): string
    {
        return "json_each(cast({$object} as json)) as {$alias}";
    }

    public function member(string $table, string $object, string $member): string
    {
        return "(json_populate_record(cast(null as \"{$table}\"), cast({$object} as json))).\"{$member}\"";
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
        return 'join';
    }

    public function like(string $text): string
    {
        // The escape is the usual one here; PDO would stumble over it.
        return "{$text} ilike ?";
    }

    public function rowsFound(): string
    {
        return "to_tsvector('simple', words) @@ to_tsquery('simple', ?)";
    }

    public function words(): array
    {
        return ['begun' => '%s:*', 'whole' => '%s', 'or' => ' | ', 'and' => ' & '];
    }

    public function keepNumbers(string $table, int $count): int
    {
        // A sequence may be asked by whoever makes rows meanwhile: what is taken from it here is nobody else's.
        $first = Value::int(DB::scalar('select nextval(pg_get_serial_sequence(?, ?))', [$table, 'id']));
        $last = max($first - 1, Value::int(DB::table($table)->max('id'))) + $count;
        DB::select('select setval(pg_get_serial_sequence(?, ?), ?)', [$table, 'id', $last]);

        return $last;
    }

    public function naming(string $table): array
    {
        $naming = DB::select("select c.conrelid::regclass::text as \"table\", a.attname as \"column\" from pg_constraint c join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1] where c.contype = 'f' and c.confrelid = cast(? as regclass) order by 1, 2", [$table]);

        return array_map(static fn (object $one): array => [Value::text($one->table ?? null), Value::text($one->column ?? null)], array_values($naming));
    }

    public function tables(): array
    {
        return Value::texts(DB::table('pg_tables')->where('schemaname', 'public')->orderBy('tablename')->pluck('tablename'));
    }

    public function overwriteDeleted(): void
    {
        // Rows that are gone stay in their pages until they are cleared away, which the server does by itself in the end.
        if (DB::transactionLevel() === 0) {
            DB::statement('vacuum');
        }
    }
}
