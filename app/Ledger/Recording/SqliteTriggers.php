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
            array_push($rules, ...self::changed($subject));
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
            foreach (['made', 'gone', 'changed', 'moved'] as $what) {
                $names[] = "ledger_of_{$subject->table}_{$what}";
            }
        }

        return array_map(static fn (string $name): string => "drop trigger if exists {$name}", $names);
    }

    /** @return list<string> */
    private static function changed(Subject $subject): array
    {
        $of = implode(', ', array_map(static fn (string $column): string => "\"{$column}\"", $subject->known()));
        $differs = implode(' or ', array_map(static fn (string $column): string => "old.\"{$column}\" is not new.\"{$column}\"", $subject->known()));
        $begins = static fn (string $what, string $when): string => "create trigger ledger_of_{$subject->table}_{$what} after update of {$of} on \"{$subject->table}\" when {$when} begin ";
        if ($subject->person === null || $subject->person === 'id') {
            return [$begins('changed', $differs).self::entry($subject, 'new', 'changed').'; end'];
        }
        $moved = "old.\"{$subject->person}\" is not new.\"{$subject->person}\"";

        return [
            // What goes over to another person is gone with the first and made with the other.
            $begins('moved', $moved).self::entry($subject, 'old', 'gone').'; '.self::entry($subject, 'new', 'made').'; end',
            ...$subject->columns === [] ? [] : [$begins('changed', "not ({$moved}) and ({$differs})").self::entry($subject, 'new', 'changed').'; end'],
        ];
    }

    /** @param  string  $row  old or new */
    private static function entry(Subject $subject, string $row, string $what): string
    {
        $named = "'{$subject->table}', {$row}.\"{$subject->row}\", ".($subject->person === null ? 'null' : "{$row}.\"{$subject->person}\"").', '.($subject->course === null ? 'null' : "{$row}.\"{$subject->course}\"").", '{$what}', ".($what === 'gone' ? "'{}'" : $subject->content($row));

        // Its number is the next one: what is looked up is looked up once.
        return "insert into ledger (at, by, cause, subject, row_id, person_id, course_id, what, content, chain) values (keep_at(), keep_by(), keep_cause(), {$named}, keep_chain(coalesce((select chain from ledger order by id desc limit 1), ''), {$named}))";
    }
}
