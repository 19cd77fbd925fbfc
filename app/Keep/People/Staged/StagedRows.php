<?php

declare(strict_types=1);

namespace App\Keep\People\Staged;

use App\Keep\People\ActStep;
use App\Keep\People\RowChange;
use App\Models\ActRecord;
use Illuminate\Support\Facades\DB;

/**
 * The rows that an act makes, changes or takes away, laid down beside the tables themselves; and the statements, one for
 * each kind of row, that put all of them in force or take all of them back. What is laid down stays: an undo needs it.
 */
final class StagedRows
{
    /** The tables that acts may write. */
    private const TABLES = ['passes', 'labels', 'grants', 'observer_ties'];

    /**
     * Lays rows down.
     *
     * @param  list<ActStep>  $steps
     */
    public static function add(ActRecord $act, array $steps): void
    {
        $made = DB::table('act_changes')->where('act_id', $act->id)->whereNotNull('nth')->groupBy('table')->pluck(DB::raw('max(nth)'), 'table')->all();
        $rows = [];
        foreach ($steps as $step) {
            foreach ($step->changes as $change) {
                $nth = null;
                if ($change->id === null) {
                    $last = $made[$change->table] ?? 0;
                    $made[$change->table] = $nth = (is_numeric($last) ? (int) $last : 0) + 1;
                }
                $rows[] = self::row($act, $step->personId, $change, $nth);
            }
        }
        foreach (array_chunk($rows, 200) as $some) {
            DB::table('act_changes')->insert($some);
        }
    }

    /** @return array<string, mixed> */
    public static function row(ActRecord $act, int $personId, RowChange $change, ?int $nth = null): array
    {
        $json = static fn (?array $columns): ?string => $columns === null ? null : json_encode($columns, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);

        return [
            'act_id' => $act->id, 'person_id' => $personId, 'table' => $change->table, 'shape' => self::shape($change), 'nth' => $nth,
            'row_id' => $change->id, 'before' => $json($change->before), 'after' => $json($change->after),
        ];
    }

    /** Changes the tables as was laid down. To be called inside a transaction. */
    public static function putInForce(ActRecord $act): void
    {
        foreach (self::shapes($act) as [$table, $kind, $columns]) {
            match ($kind) {
                'make' => self::make($act, $table, $columns),
                'take' => self::delete($act, $table, 'take', $columns),
                default => self::set($act, $table, $columns, 'after'),
            };
        }
    }

    /** Changes them back. To be called inside a transaction, after {@see changedSince()} has found nothing. */
    public static function takeBack(ActRecord $act): void
    {
        foreach (array_reverse(self::shapes($act)) as [$table, $kind, $columns]) {
            match ($kind) {
                'make' => self::delete($act, $table, 'make', $columns),
                'take' => self::insert($act, $table, 'take', $columns),
                default => self::set($act, $table, $columns, 'before'),
            };
        }
    }

    /** Whether any row is another one by now than the act has left it, or has been changed by a later act, be it to and fro. */
    public static function changedSince(ActRecord $act): bool
    {
        foreach (self::shapes($act) as [$table, $kind, $columns]) {
            $is = $kind === 'take'
                ? 't.id is not null'
                : implode(' or ', ['t.id is null', ...array_map(static fn (string $column): string => 't.'.self::column($column)." is not json_extract(c.after, '$.{$column}')", $kind === 'make' ? self::told($columns) : $columns)]);
            $changed = DB::selectOne('select 1 as there from act_changes c left join '.self::table($table)." t on t.id = c.row_id where c.act_id = ? and c.\"table\" = ? and c.shape = ? and ({$is}) limit 1", [$act->id, $table, self::named($kind, $columns)]);
            if ($changed !== null) {
                return true;
            }
        }

        return DB::selectOne(<<<'SQL'
            select 1 as there
            from act_changes c
            join act_changes later on later."table" = c."table" and later.row_id = c.row_id and later.act_id <> c.act_id
            join people_acts a on a.id = later.act_id and a.turn > ? and a.undone_at is null
            where c.act_id = ? and exists (
                select 1 from json_each(coalesce(c.after, c.before)) one join json_each(coalesce(later.after, later.before)) other on other.key = one.key
            ) limit 1
            SQL, [$act->turn, $act->id]) !== null;
    }

    /** @return list<array{string, string, list<string>}> table, kind and columns, in the order in which they were laid down */
    private static function shapes(ActRecord $act): array
    {
        $shapes = [];
        foreach (DB::table('act_changes')->where('act_id', $act->id)->groupBy('table', 'shape')->orderByRaw('min(id)')->get(['table', 'shape']) as $row) {
            $parts = explode(' ', is_string($row->shape) ? $row->shape : '');
            $shapes[] = [is_string($row->table) ? $row->table : '', array_shift($parts), $parts];
        }

        return $shapes;
    }

    /** @param  list<string>  $columns */
    private static function make(ActRecord $act, string $table, array $columns): void
    {
        DB::update('update act_changes set row_id = ? + nth where act_id = ? and "table" = ? and shape = ? and row_id is null', [self::lastId($table), $act->id, $table, self::named('make', $columns)]);
        self::insert($act, $table, 'make', $columns);
    }

    /** @param  list<string>  $columns */
    private static function delete(ActRecord $act, string $table, string $kind, array $columns): void
    {
        DB::delete('delete from '.self::table($table).' where id in (select row_id from act_changes where act_id = ? and "table" = ? and shape = ?)', [$act->id, $table, self::named($kind, $columns)]);
    }

    /** @param  list<string>  $columns */
    private static function insert(ActRecord $act, string $table, string $kind, array $columns): void
    {
        $state = $kind === 'make' ? 'after' : 'before';
        $names = implode(', ', array_map(self::column(...), $columns));
        $values = implode(', ', array_map(static fn (string $column): string => "json_extract({$state}, '$.{$column}')", $columns));
        DB::insert('insert into '.self::table($table)." (id, {$names}) select row_id, {$values} from act_changes where act_id = ? and \"table\" = ? and shape = ? order by id", [$act->id, $table, self::named($kind, $columns)]);
    }

    /**
     * @param  list<string>  $columns
     * @param  string  $state  before or after
     */
    private static function set(ActRecord $act, string $table, array $columns, string $state): void
    {
        $sets = implode(', ', array_map(static fn (string $column): string => self::column($column)." = json_extract(c.{$state}, '$.{$column}')", $columns));
        DB::update('update '.self::table($table)." as t set {$sets} from act_changes c where c.act_id = ? and c.\"table\" = ? and c.shape = ? and c.row_id = t.id", [$act->id, $table, self::named('change', $columns)]);
    }

    /**
     * Of a row that was made: when it was written does not matter.
     *
     * @param  list<string>  $columns
     * @return list<string>
     */
    private static function told(array $columns): array
    {
        return array_values(array_diff($columns, ['created_at', 'updated_at']));
    }

    /** The highest number that a row of the table has, or has had. */
    private static function lastId(string $table): int
    {
        $is = DB::table($table)->max('id');
        $was = DB::table('sqlite_sequence')->where('name', $table)->value('seq');

        return max(is_numeric($is) ? (int) $is : 0, is_numeric($was) ? (int) $was : 0);
    }

    private static function shape(RowChange $change): string
    {
        $kind = $change->before === null ? 'make' : ($change->after === null ? 'take' : 'change');

        return self::named($kind, array_keys($change->after ?? $change->before ?? []));
    }

    /** @param  list<string>  $columns */
    private static function named(string $kind, array $columns): string
    {
        return $kind.' '.implode(' ', $columns);
    }

    /** @throws \LogicException if acts have no business with it */
    private static function table(string $name): string
    {
        return in_array($name, self::TABLES, true) ? $name : throw new \LogicException("Acts do not write {$name}.");
    }

    /** Names come from acts, never from outside; they are looked at all the same. */
    private static function column(string $name): string
    {
        return preg_match('/^[a-z_]+$/D', $name) === 1 ? "\"{$name}\"" : throw new \LogicException("No name of a column: {$name}");
    }
}
