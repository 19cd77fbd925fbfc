<?php

declare(strict_types=1);

namespace App\Ledger\Rebuilding;

use App\Database\Dialects;
use App\Database\Value;
use App\Ledger\Recording\Subject;
use App\Ledger\Recording\Subjects;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;

/** The tables once more beside those that there are, as long as the connection needs them: each row as its last entry says. */
final readonly class Rebuilt
{
    /** Of these the ledger knows some columns only: what they hold besides is told by nobody else. */
    private const IN_PART = ['schools', 'courses', 'revisions', 'people'];

    public function __construct(private Connection $database)
    {
    }

    public function make(): void
    {
        $this->database->statement('create temporary table ledger_last as select max(id) as entry, subject from ledger group by subject, row_id, case when subject = \'edited_courses\' then person_id end');
        foreach (Subjects::all() as $subject) {
            $this->fill($subject);
        }
    }

    public function drop(): void
    {
        foreach (['ledger_last', ...array_map(self::name(...), array_values(Subjects::all()))] as $table) {
            $this->database->statement("drop table {$table}");
        }
    }

    public function difference(Subject $subject): Difference
    {
        [$name, $table] = [self::name($subject), "\"{$subject->table}\""];
        $first = [];
        $count = function (string $from, string $alias) use ($subject, &$first): int {
            $key = implode(', ', array_map(static fn (string $column): string => "{$alias}.\"{$column}\"", $subject->key()));
            $rows = Value::int($this->database->scalar("select count(*) from {$from}"));
            if ($rows > 0) {
                $first[] = implode(', ', Value::texts((array) $this->database->selectOne("select {$key} from {$from} order by {$key} limit 1")));
            }

            return $rows;
        };

        return new Difference(
            $this->database->table($subject->table)->count(),
            $count("{$name} r where not exists (select 1 from {$table} t where ".self::same($subject).')', 'r'),
            $count("{$table} t where not exists (select 1 from {$name} r where ".self::same($subject).')', 't'),
            $subject->columns === [] ? 0 : $count("{$name} r join {$table} t on ".self::same($subject).' where '.self::differs($subject), 'r'),
            $first[0] ?? '',
        );
    }

    /** @return array<string, Builder> row, person, course and content of what is gone, made and changed in a table without an entry that says so */
    public function unwritten(Subject $subject): array
    {
        [$name, $table] = [self::name($subject), "\"{$subject->table}\""];
        $told = static fn (string $alias, string $content): string => implode(', ', array_map(static fn (?string $column): string => $column === null ? 'null' : "{$alias}.\"{$column}\"", [$subject->row, $subject->person, $subject->course])).", {$content} as content";
        $same = self::same($subject);

        return array_filter([
            'gone' => $this->database->table("{$name} as r")->whereRaw("not exists (select 1 from {$table} t where {$same})")->selectRaw($told('r', "'{}'")),
            'made' => $this->database->table("{$subject->table} as t")->whereRaw("not exists (select 1 from {$name} r where {$same})")->selectRaw($told('t', $subject->content('t'))),
            'changed' => $subject->columns === [] ? null : $this->database->table("{$subject->table} as t")->whereRaw("exists (select 1 from {$name} r where {$same} and ".self::differs($subject).')')->selectRaw($told('t', $subject->content('t'))),
        ]);
    }

    /** Puts it in place of what is there. */
    public function put(Subject $subject): void
    {
        [$name, $table] = [self::name($subject), "\"{$subject->table}\""];
        $others = array_map(static fn (string $column): string => "\"{$column}\"", array_values(array_diff($subject->known(), $subject->key())));
        if (! in_array($subject->table, self::IN_PART, true)) {
            $this->database->delete("delete from {$table} as t where not exists (select 1 from {$name} r where ".self::same($subject).')');
            $all = implode(', ', array_map(static fn (string $column): string => "\"{$column}\"", $subject->known()));
            $this->database->insert("insert into {$table} ({$all}) select {$all} from {$name} r where not exists (select 1 from {$table} t where ".self::same($subject).')');
        }
        if ($others !== []) {
            $this->database->update("update {$table} as t set ".implode(', ', array_map(static fn (string $column): string => "{$column} = r.{$column}", $others))." from {$name} r where ".self::same($subject).' and '.self::differs($subject));
        }
    }

    private function fill(Subject $subject): void
    {
        $dialect = Dialects::spoken();
        $name = self::name($subject);
        $columns = $subject->known();
        $values = array_map(static fn (string $column): string => match ($column) {
            $subject->row => 'l.row_id', $subject->person => 'l.person_id', $subject->course => 'l.course_id', default => $dialect->member($subject->table, 'l.content', $column),
        }, $columns);
        $named = implode(', ', array_map(static fn (string $column): string => "\"{$column}\"", $columns));
        $this->database->statement("create temporary table {$name} as select {$named} from \"{$subject->table}\" where false");
        $this->database->statement("insert into {$name} ({$named}) select ".implode(', ', $values)." from ledger_last t join ledger l on l.id = t.entry where t.subject = '{$subject->table}' and l.what != 'gone'");
        $this->database->statement("create unique index {$name}_key on {$name} (".implode(', ', $subject->key()).')');
    }

    private static function name(Subject $subject): string
    {
        return "rebuilt_{$subject->table}";
    }

    private static function same(Subject $subject): string
    {
        return implode(' and ', array_map(static fn (string $column): string => "r.\"{$column}\" = t.\"{$column}\"", $subject->key()));
    }

    private static function differs(Subject $subject): string
    {
        return '('.implode(' or ', array_map(static fn (string $column): string => "cast(r.\"{$column}\" as text) is distinct from cast(t.\"{$column}\" as text)", $subject->known())).')';
    }
}
