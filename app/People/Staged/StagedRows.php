<?php

declare(strict_types=1);

namespace App\People\Staged;

use App\Database\Dialects;
use App\Models\ActRecord;
use App\People\Acts\ActStep;
use App\People\Acts\RowChange;
use Illuminate\Support\Facades\DB;

/**
 * The rows that an act makes, changes or takes away, laid down beside the tables themselves; and the statements, one for
 * each kind of row, that put all of them in force or take all of them back. What is laid down stays: an undo needs it.
 */
final class StagedRows
{
    /** The tables that acts may write. */
    private const TABLES = ['passes', 'labels', 'grants', 'completions', 'given_tries', 'observer_ties', 'list_contacts'];

    /**
     * Lays rows down.
     *
     * @param  list<ActStep>  $steps
     */
    public static function add(ActRecord $act, array $steps): void
    {
        $made = DB::table('act_changes')->where('act_id', $act->id)->whereNotNull('nth')->groupBy('table')->selectRaw('"table", max(nth) as most')->pluck('most', 'table')->all();
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

    /**
     * Reads what is laid down into tables of this connection alone, so that nothing is left to be reckoned while others
     * wait; and keeps numbers for the rows that will be made. Not to be called inside a transaction.
     *
     * @return list<ReadRows> in the order in which they were laid down
     */
    public static function read(ActRecord $act): array
    {
        self::number($act);
        $read = [];
        foreach (DB::table('act_changes')->where('act_id', $act->id)->groupBy('table', 'shape')->orderByRaw('min(id)')->get(['table', 'shape']) as $nth => $row) {
            $columns = explode(' ', is_string($row->shape) ? $row->shape : '');
            $kind = (string) array_shift($columns);
            $rows = new ReadRows("act_{$nth}", self::table(is_string($row->table) ? $row->table : ''), $kind, array_map(self::column(...), $columns));
            $laid = Dialects::spoken()->laidDown($rows->table, $columns, ['before', 'after'], "act_changes where act_id = {$act->id} and \"table\" = '{$rows->table}' and shape = '".implode(' ', [$kind, ...$columns])."' order by id");
            DB::statement("drop table if exists {$rows->name}");
            DB::statement("create temp table {$rows->name} as {$laid}");
            $read[] = $rows;
        }

        return $read;
    }

    /** Each row that is to be made gets a number that nobody else will be given, a few at a time. */
    private static function number(ActRecord $act): void
    {
        foreach (DB::table('act_changes')->where('act_id', $act->id)->whereNotNull('nth')->whereNull('row_id')->distinct()->pluck('table') as $table) {
            $table = self::table(is_string($table) ? $table : '');
            $most = DB::table('act_changes')->where('act_id', $act->id)->where('table', $table)->max('nth');
            $most = is_numeric($most) ? (int) $most : 0;
            $last = Numbers::keep($table, $most);
            do {
                $some = DB::update('update act_changes set row_id = ? + nth where id in (select id from act_changes where act_id = ? and "table" = ? and nth is not null and row_id is null limit 5000)', [$last - $most, $act->id, $table]);
            } while ($some === 5000);
        }
    }

    /**
     * Changes the tables as was laid down. To be called inside a transaction.
     *
     * @param  list<ReadRows>  $read
     */
    public static function putInForce(array $read): void
    {
        foreach ($read as $rows) {
            match ($rows->kind) {
                'make' => self::insert($rows, 'after'),
                'take' => self::delete($rows),
                default => self::set($rows, 'after'),
            };
        }
    }

    /**
     * Changes them back. To be called inside a transaction, after {@see areOthersNow()} and {@see changedAfter()} have found nothing.
     *
     * @param  list<ReadRows>  $read
     */
    public static function takeBack(array $read): void
    {
        foreach (array_reverse($read) as $rows) {
            match ($rows->kind) {
                'make' => self::delete($rows),
                'take' => self::insert($rows, 'before'),
                default => self::set($rows, 'before'),
            };
        }
    }

    /**
     * Whether any row is another one by now than the act has left it.
     *
     * @param  list<ReadRows>  $read
     */
    public static function areOthersNow(array $read): bool
    {
        foreach ($read as $rows) {
            // Of a row that was made: when it was written does not matter.
            $told = $rows->kind === 'make' ? array_diff($rows->columns, ['created_at', 'updated_at']) : $rows->columns;
            $is = $rows->kind === 'take' ? 't.id is not null' : implode(' or ', ['t.id is null', ...array_map(static fn (string $column): string => "t.\"{$column}\" is distinct from r.after_{$column}", $told)]);
            if (DB::selectOne("select 1 as there from {$rows->name} r left join {$rows->table} t on t.id = r.row_id where {$is} limit 1") !== null) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether an act whose turn is a later one has changed any of its rows, be it to and fro.
     *
     * @param  int  $turn  later than this one
     */
    public static function changedAfter(ActRecord $act, int $turn): bool
    {
        $dialect = Dialects::spoken();
        $names = "{$dialect->members('coalesce(c.after, c.before)', 'one')} join {$dialect->members('coalesce(later.after, later.before)', 'other')} on other.key = one.key";

        // In this order: there are few later acts, or none.
        return DB::selectOne(<<<SQL
            select 1 as there
            from people_acts a
            {$dialect->inThisOrder()} act_changes later on later.act_id = a.id
            {$dialect->inThisOrder()} act_changes c on c."table" = later."table" and c.row_id = later.row_id and c.act_id = ?
            where a.turn > ? and a.undone_at is null and a.id <> ? and exists (
                select 1 from {$names}
            ) limit 1
            SQL, [$act->id, $turn, $act->id]) !== null;
    }

    /** @param  'before'|'after'  $state */
    private static function insert(ReadRows $rows, string $state): void
    {
        $names = implode(', ', array_map(static fn (string $column): string => "\"{$column}\"", $rows->columns));
        $values = implode(', ', array_map(static fn (string $column): string => "{$state}_{$column}", $rows->columns));
        // Whoever has finished something themselves meanwhile keeps that.
        $or = $rows->table === 'completions' ? ' on conflict do nothing' : '';
        DB::insert("insert into {$rows->table} (id, {$names}) select row_id, {$values} from {$rows->name} where true{$or}");
    }

    private static function delete(ReadRows $rows): void
    {
        DB::delete("delete from {$rows->table} where id in (select row_id from {$rows->name})");
    }

    /** @param  'before'|'after'  $state */
    private static function set(ReadRows $rows, string $state): void
    {
        $sets = implode(', ', array_map(static fn (string $column): string => "\"{$column}\" = r.{$state}_{$column}", $rows->columns));
        DB::update("update {$rows->table} as t set {$sets} from {$rows->name} r where r.row_id = t.id");
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
        return preg_match('/^[a-z_]+$/D', $name) === 1 ? $name : throw new \LogicException("No name of a column: {$name}");
    }
}
