<?php

declare(strict_types=1);

namespace App\Ledger\Recording;

/** PostgreSQL: who writes and when is told it with each transaction, by settings of the connection. What another program writes is written `outside`. */
final readonly class PgsqlTriggers implements Triggers
{
    public function rules(): array
    {
        $rules = [...$this->undone(), self::WRITES, self::STAYS];
        $rules[] = 'create trigger ledger_stays before update or delete on ledger for each row execute function ledger_stays()';
        foreach (Subjects::all() as $subject) {
            $rules[] = self::function($subject);
            $rules[] = "create trigger ledger_of_{$subject->table} after insert or update or delete on \"{$subject->table}\" for each row execute function ledger_of_{$subject->table}()";
        }

        return $rules;
    }

    public function standing(): string
    {
        return "select 1 from pg_trigger where tgname = 'ledger_of_completions'";
    }

    public function undone(): array
    {
        $undone = ['drop trigger if exists ledger_stays on ledger'];
        foreach (Subjects::all() as $subject) {
            $undone[] = "drop trigger if exists ledger_of_{$subject->table} on \"{$subject->table}\"";
        }

        return $undone;
    }

    private const STAYS = <<<'SQL'
        create or replace function ledger_stays() returns trigger language plpgsql as $$
        begin
            raise exception 'An entry of the ledger is never altered.';
        end $$
        SQL;

    private const WRITES = <<<'SQL'
        create or replace function ledger_write(subject text, row_id bigint, person bigint, course bigint, what text, content text) returns void language plpgsql as $$
        declare
            last record;
            n bigint;
            instant bigint := coalesce(nullif(current_setting('keep.at', true), '')::bigint, floor(extract(epoch from clock_timestamp()))::bigint);
            hand text := coalesce(nullif(current_setting('keep.by', true), ''), 'outside');
            reason text := coalesce(current_setting('keep.cause', true), '');
        begin
            select l.id, l.chain into last from ledger l order by l.id desc limit 1;
            n := coalesce(last.id, 0) + 1;
            insert into ledger (id, at, "by", cause, subject, row_id, person_id, course_id, what, content, chain) values (n, instant, hand, reason, subject, row_id, person, course, what, content,
                encode(sha256(convert_to(concat_ws(chr(31), coalesce(last.chain, ''), instant, hand, reason, subject, row_id, coalesce(person::text, ''), coalesce(course::text, ''), what, content), 'UTF8')), 'base64'));
        end $$
        SQL;

    private static function function(Subject $subject): string
    {
        $content = $subject->content('new');
        $person = static fn (string $row): string => $subject->person === null ? 'null' : "{$row}.\"{$subject->person}\"";
        $write = static fn (string $row, string $what): string => "perform ledger_write('{$subject->table}', {$row}.\"{$subject->row}\", {$person($row)}, ".($subject->course === null ? 'null' : "{$row}.\"{$subject->course}\"").", '{$what}', ".($what === 'gone' ? "'{}'" : $content).');';
        // As texts: what is JSON is told apart by nothing else there.
        $differs = implode(' or ', array_map(static fn (string $column): string => "cast(old.\"{$column}\" as text) is distinct from cast(new.\"{$column}\" as text)", $subject->known()));
        $moved = $subject->person === null || $subject->person === 'id' ? 'false' : "{$person('old')} is distinct from {$person('new')}";

        return "create or replace function ledger_of_{$subject->table}() returns trigger language plpgsql as \$\$ begin"
            ." if tg_op = 'INSERT' then {$write('new', 'made')}"
            ." elsif tg_op = 'DELETE' then {$write('old', 'gone')}"
            ." elsif {$moved} then {$write('old', 'gone')} {$write('new', 'made')}"
            ." elsif {$differs} then {$write('new', 'changed')}"
            .' end if; return null; end $$';
    }
}
