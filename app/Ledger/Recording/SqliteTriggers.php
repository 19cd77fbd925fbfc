<?php

declare(strict_types=1);

namespace App\Ledger\Recording;

/** SQLite: what it asks of the program in between (`keep_at` and the others) stands in {@see \App\Database\LedgerWords}. */
final readonly class SqliteTriggers implements Triggers
{
    public function rules(): array
    {
        $rules = $this->undone();
        foreach (['update', 'delete'] as $write) {
            $rules[] = "create trigger ledger_stays_{$write} before {$write} on ledger begin select raise(abort, 'An entry of the ledger is never altered.'); end";
        }
        foreach (Subjects::all() as $subject) {
            $rules[] = "create trigger ledger_of_{$subject->table}_made after insert on \"{$subject->table}\" begin ".self::entry($subject, 'new', 'made').'; end';
            $rules[] = "create trigger ledger_of_{$subject->table}_gone after delete on \"{$subject->table}\" begin ".self::entry($subject, 'old', 'gone').'; end';
            if ($subject->columns !== []) {
                $rules[] = self::changed($subject);
            }
        }

        return $rules;
    }

    public function standing(): string
    {
        return "select 1 from sqlite_master where type = 'trigger' and name = 'ledger_of_completions_changed'";
    }

    public function undone(): array
    {
        $names = ['ledger_stays_update', 'ledger_stays_delete'];
        foreach (Subjects::all() as $subject) {
            foreach (['made', 'gone', 'changed'] as $what) {
                $names[] = "ledger_of_{$subject->table}_{$what}";
            }
        }

        return array_map(static fn (string $name): string => "drop trigger if exists {$name}", $names);
    }

    private static function changed(Subject $subject): string
    {
        $known = $subject->known();
        $differs = implode(' or ', array_map(static fn (string $column): string => "old.\"{$column}\" is not new.\"{$column}\"", $known));
        $of = implode(', ', array_map(static fn (string $column): string => "\"{$column}\"", $known));
        if ($subject->person === null || $subject->person === 'id') {
            return "create trigger ledger_of_{$subject->table}_changed after update of {$of} on \"{$subject->table}\" when {$differs} begin ".self::entry($subject, 'new', 'changed').'; end';
        }
        // What goes over to another person is gone with the first and made with the other.
        $moved = "old.\"{$subject->person}\" is not new.\"{$subject->person}\"";

        return "create trigger ledger_of_{$subject->table}_changed after update of {$of} on \"{$subject->table}\" when {$differs} begin "
            .self::entry($subject, 'old', 'gone', $moved).'; '.self::entry($subject, 'new', 'made', $moved).'; '.self::entry($subject, 'new', 'changed', "not ({$moved})").'; end';
    }

    /** @param  string  $row  old or new */
    private static function entry(Subject $subject, string $row, string $what, string $where = 'true'): string
    {
        $named = "'{$subject->table}', {$row}.\"{$subject->row}\", ".($subject->person === null ? 'null' : "{$row}.\"{$subject->person}\"").', '.($subject->course === null ? 'null' : "{$row}.\"{$subject->course}\"").", '{$what}', content";

        return "insert into ledger (id, at, by, cause, subject, row_id, person_id, course_id, what, content, chain) select n, keep_at(n), keep_by(), keep_cause(), {$named}, keep_chain(previous, n, {$named})"
            ." from (select coalesce((select id from ledger order by id desc limit 1), 0) + 1 as n, coalesce((select chain from ledger order by id desc limit 1), '') as previous, ".($what === 'gone' ? "'{}'" : $subject->content($row))." as content) where {$where}";
    }
}
