<?php

declare(strict_types=1);

namespace App\Ledger\History;

use App\Database\Dialects;
use App\Ledger\Recording\Subject;
use App\Ledger\Recording\Subjects;

/** What a school knows of its past where no ledger was kept: when rows were made, what has become of some of them since, and when rules went live. */
final class Known
{
    private function __construct()
    {
    }

    /**
     * @param  string  $now  instant as it is stored
     * @param  bool  $isMadeUp  whether rows were there since what they say, whenever they were put in
     * @return list<string> queries of instant, rank among those of the same instant, by, subject, row, person, course, what and content
     */
    public static function queries(string $now, bool $isMadeUp): array
    {
        $all = Subjects::all();
        $least = Dialects::spoken()->least(...);
        $begun = $isMadeUp ? $least(...array_map(static fn (string $of): string => "coalesce((select min({$of}), '{$now}')", ['published_at) from revisions', 'starts_at) from passes', 'completed_at) from completions'])) : "'{$now}'";
        $made = $isMadeUp ? $begun : "coalesce(t.created_at, '{$now}')";
        $came = "coalesce((select p.created_at from people p where p.id = t.person_id), '{$now}')";
        $held = $isMadeUp ? $least('coalesce(t.created_at, t.starts_at)', 't.starts_at') : 'coalesce(t.created_at, t.starts_at)';
        // The first rules of a school that was made up were there as long as it was.
        $live = static fn (string $revision): string => $isMadeUp ? "case when {$revision}.number = 1 then {$begun} else {$revision}.published_at end" : "{$revision}.published_at";
        $given = "coalesce((select max(a.happened_at) from activities a where a.person_id = t.person_id and a.action = 'label.given' and a.after like '%\"' || t.label || '\"%'), {$came})";

        return [
            self::made($all['schools'], $made, 0),
            self::made($all['people'], $isMadeUp ? $least("case when t.role is null then coalesce(t.created_at, '{$now}') else {$begun} end", ...array_map(static fn (string $of): string => "coalesce((select min({$of} where h.person_id = t.id), '{$now}')", ['h.starts_at) from passes h', 'h.completed_at) from completions h'])) : $made, 1),
            self::made($all['courses'], $least($made, "coalesce((select min(r.published_at) from revisions r where r.course_id = t.id), '{$now}')"), 2, ['live_revision_id' => 'null']),
            self::made($all['revisions'], $live('t'), 3, by: "case when t.author_id is null then 'program' else 'person ' || t.author_id end"),
            self::wentLive($all['courses'], $live('r')),
            self::isLive($all['courses'], $now),
            self::made($all['offers'], $made, 5),
            self::made($all['edited_courses'], $came, 6),
            self::made($all['observer_ties'], "coalesce(t.created_at, '{$now}')", 6),
            self::made($all['labels'], $given, 6),
            self::made($all['passes'], $held, 6, ['state' => "'active'", 'paused_at' => 'null']),
            self::made($all['passes'], "coalesce(t.updated_at, '{$now}')", 7, what: 'changed', where: "t.state != 'active'"),
            self::made($all['grants'], $held, 6),
            self::made($all['completions'], 't.completed_at', 8),
        ];
    }

    /**
     * @param  string  $at  SQL of an instant as it is stored
     * @param  array<string, string>  $instead  SQL in place of some columns
     */
    private static function made(Subject $subject, string $at, int $rank, array $instead = [], string $by = "'program'", string $what = 'made', string $where = 'true'): string
    {
        $seconds = Dialects::spoken()->seconds($at);
        $person = $subject->person === null ? 'null' : "t.\"{$subject->person}\"";
        $course = $subject->course === null ? 'null' : "t.\"{$subject->course}\"";

        return "select {$seconds}, {$rank}, {$by}, '{$subject->table}', t.\"{$subject->row}\", {$person}, {$course}, '{$what}', {$subject->content('t', $instead)} from \"{$subject->table}\" t where {$where}";
    }

    /** Each revision went live when it was published. */
    private static function wentLive(Subject $courses, string $at): string
    {
        $seconds = Dialects::spoken()->seconds($at);

        return "select {$seconds}, 4, case when r.author_id is null then 'program' else 'person ' || r.author_id end, 'courses', t.id, null, t.id, 'changed', {$courses->content('t', ['live_revision_id' => 'r.id'])} from revisions r join courses t on t.id = r.course_id";
    }

    /** Where another is live than the last one, or none: since when, nobody knows. */
    private static function isLive(Subject $courses, string $now): string
    {
        return self::made($courses, "'{$now}'", 4, what: 'changed', where: 'exists (select 1 from revisions r where r.course_id = t.id) and t.live_revision_id is distinct from (select max(r.id) from revisions r where r.course_id = t.id)');
    }
}
