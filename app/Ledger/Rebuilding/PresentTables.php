<?php

declare(strict_types=1);

namespace App\Ledger\Rebuilding;

use App\Database\Dialects;
use App\Database\Lists;
use App\Database\OneWriter;
use App\Database\Value;
use App\Ledger\Recording\Entries;
use App\Ledger\Recording\Recording;
use App\Ledger\Recording\Subject;
use App\Ledger\Recording\Subjects;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** The tables on which access depends, made once more from the ledger: each row as its last entry says. */
final readonly class PresentTables
{
    /** Of these the ledger knows some columns only: what they hold besides is told by nobody else. */
    private const IN_PART = ['schools', 'courses', 'revisions', 'people'];

    /** @return array<string, Difference> by table */
    public function differences(): array
    {
        return $this->withRebuilt(static fn (): array => array_map(self::difference(...), Subjects::all()));
    }

    /**
     * Puts what the ledger says in place of what is there.
     *
     * @return array<string, Difference> what was put right, by table
     */
    public function putBack(): array
    {
        return $this->withRebuilt(static function (): array {
            $differences = array_map(self::difference(...), Subjects::all());
            // It is written already.
            Recording::end();
            foreach (Subjects::all() as $table => $subject) {
                $differences[$table]->count() === 0 || self::put($subject);
            }
            Recording::begin();

            return $differences;
        });
    }

    /**
     * The other way round: the ledger takes over what is there.
     *
     * @return int how many entries that took
     */
    public function takeOver(int $at, string $by, string $cause): int
    {
        return $this->withRebuilt(static function () use ($at, $by, $cause): int {
            $written = 0;
            $entries = new Entries;
            foreach (Subjects::all() as $subject) {
                foreach (self::other($subject) as $what => $query) {
                    foreach (array_chunk(Lists::of($query), 500) as $rows) {
                        $entries->write(array_map(static fn (array $row): array => [$at, $by, $cause, $subject->table, (int) $row[0], $row[1] === null ? null : (int) $row[1], $row[2] === null ? null : (int) $row[2], $what, (string) $row[3]], $rows));
                        $written += count($rows);
                    }
                }
            }

            return $written;
        });
    }

    /** @return array<string, Builder> row, person, course and content of what is gone, made and changed */
    private static function other(Subject $subject): array
    {
        [$name, $table] = [self::name($subject), "\"{$subject->table}\""];
        $told = static fn (string $alias, string $content): string => implode(', ', array_map(static fn (?string $column): string => $column === null ? 'null' : "{$alias}.\"{$column}\"", [$subject->row, $subject->person, $subject->course])).", {$content} as content";
        $same = self::same($subject);

        return array_filter([
            'gone' => DB::table("{$name} as r")->whereRaw("not exists (select 1 from {$table} t where {$same})")->selectRaw($told('r', "'{}'")),
            'made' => DB::table("{$subject->table} as t")->whereRaw("not exists (select 1 from {$name} r where {$same})")->selectRaw($told('t', $subject->content('t'))),
            'changed' => $subject->columns === [] ? null : DB::table("{$subject->table} as t")->whereRaw("exists (select 1 from {$name} r where {$same} and ".self::differs($subject).')')->selectRaw($told('t', $subject->content('t'))),
        ]);
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
    private function withRebuilt(Closure $do): mixed
    {
        $work = static function () use ($do): mixed {
            DB::statement('create temporary table ledger_last as select max(id) as entry, subject from ledger group by subject, row_id, case when subject = \'edited_courses\' then person_id end');
            foreach (Subjects::all() as $subject) {
                self::rebuild($subject);
            }
            $done = $do();
            foreach (['ledger_last', ...array_map(self::name(...), array_values(Subjects::all()))] as $table) {
                DB::statement("drop table {$table}");
            }

            return $done;
        };
        $connection = DB::connection();

        return DB::transaction(static fn (): mixed => $connection instanceof OneWriter ? $connection->withRoom($work) : $work());
    }

    private static function name(Subject $subject): string
    {
        return "rebuilt_{$subject->table}";
    }

    private static function rebuild(Subject $subject): void
    {
        $dialect = Dialects::spoken();
        $name = self::name($subject);
        $columns = $subject->known();
        $values = array_map(static fn (string $column): string => match ($column) {
            $subject->row => 'l.row_id', $subject->person => 'l.person_id', $subject->course => 'l.course_id', default => $dialect->member($subject->table, 'l.content', $column),
        }, $columns);
        $named = implode(', ', array_map(static fn (string $column): string => "\"{$column}\"", $columns));
        DB::statement("create temporary table {$name} as select {$named} from \"{$subject->table}\" where false");
        DB::insert("insert into {$name} ({$named}) select ".implode(', ', $values)." from ledger_last t join ledger l on l.id = t.entry where t.subject = '{$subject->table}' and l.what != 'gone'");
        DB::statement("create unique index {$name}_key on {$name} (".implode(', ', $subject->key()).')');
    }

    private static function difference(Subject $subject): Difference
    {
        [$name, $table] = [self::name($subject), "\"{$subject->table}\""];
        $first = [];
        $count = static function (string $from, string $alias) use ($subject, &$first): int {
            $key = array_map(static fn (string $column): string => "{$alias}.\"{$column}\"", $subject->key());
            $rows = Value::int(DB::scalar("select count(*) from {$from}"));
            if ($rows > 0) {
                $one = (array) DB::selectOne('select '.implode(', ', $key)." from {$from} order by ".implode(', ', $key).' limit 1');
                $first[] = implode(', ', Value::texts($one));
            }

            return $rows;
        };

        return new Difference(
            DB::table($subject->table)->count(),
            $count("{$name} r where not exists (select 1 from {$table} t where ".self::same($subject).')', 'r'),
            $count("{$table} t where not exists (select 1 from {$name} r where ".self::same($subject).')', 't'),
            $subject->columns === [] ? 0 : $count("{$name} r join {$table} t on ".self::same($subject).' where '.self::differs($subject), 'r'),
            $first[0] ?? '',
        );
    }

    private static function same(Subject $subject): string
    {
        return implode(' and ', array_map(static fn (string $column): string => "r.\"{$column}\" = t.\"{$column}\"", $subject->key()));
    }

    private static function differs(Subject $subject): string
    {
        return '('.implode(' or ', array_map(static fn (string $column): string => "r.\"{$column}\" is distinct from t.\"{$column}\"", $subject->known())).')';
    }

    private static function put(Subject $subject): void
    {
        [$name, $table] = [self::name($subject), "\"{$subject->table}\""];
        $others = array_map(static fn (string $column): string => "\"{$column}\"", array_values(array_diff($subject->known(), $subject->key())));
        if (! in_array($subject->table, self::IN_PART, true)) {
            DB::delete("delete from {$table} as t where not exists (select 1 from {$name} r where ".self::same($subject).')');
            $all = implode(', ', array_map(static fn (string $column): string => "\"{$column}\"", $subject->known()));
            DB::insert("insert into {$table} ({$all}) select {$all} from {$name} r where not exists (select 1 from {$table} t where ".self::same($subject).')');
        }
        if ($others !== []) {
            DB::update("update {$table} as t set ".implode(', ', array_map(static fn (string $column): string => "{$column} = r.{$column}", $others))." from {$name} r where ".self::same($subject).' and '.self::differs($subject));
        }
    }
}
