<?php

declare(strict_types=1);

namespace App\People\Import\Back;

use App\Database\Dialects;
use App\Database\Value;
use App\Models\Import;
use App\People\Import\StagedImport;
use Illuminate\Support\Facades\DB;

/**
 * What a file brought and is still as the file left it: that goes back, and nothing else. What has been changed since stays as it is now,
 * and so do people who have been here or have got anything else. It stands in tables of this connection alone, so that nothing is left
 * to be looked for while others wait.
 */
final class WhatGoesBack
{
    private const TABLES = ['back_passes', 'back_labels', 'back_endings', 'back_ties', 'back_people'];

    private function __construct()
    {
    }

    /** @return array<string, int> how many passes, labels, endings and ties go back, how many stay as they are now, and how many people go or stay */
    public static function find(Import $import): array
    {
        foreach (self::TABLES as $table) {
            DB::statement("drop table if exists {$table}");
        }
        $finished = gmdate('Y-m-d H:i:s', $import->finished_at?->getTimestamp() ?? 0);
        $quoted = static fn (string $text): string => DB::connection()->getPdo()->quote($text);
        $source = $quoted(StagedImport::labelSource($import));
        DB::statement(<<<SQL
            create temp table back_passes as select p.id, p.person_id, p.course_id, i.line from import_passes i
            join passes p on p.person_id = i.person_id and p.offer_id = i.offer_id and p.starts_at = i.starts_at and p.ends_at is not distinct from i.ends_at and p.paced_from is not distinct from i.paced_from
            where i.import_id = {$import->id} and p.import_id = {$import->id} and p.state = 'active' and p.paused_at is null and p.erased_at is null and p.ended_by is null order by p.id
            SQL);
        DB::statement("create temp table back_labels as select l.id, l.person_id, l.label from import_labels i join labels l on l.person_id = i.person_id and l.label = i.label where i.import_id = {$import->id} and l.source = {$source} and l.starts_at is null and l.ends_at is null order by l.id");
        $ended = Dialects::spoken()->greatest('p.starts_at', "coalesce(e.becomes, '{$finished}')");
        DB::statement("create temp table back_endings as select p.id, p.person_id, p.course_id, e.was, e.offer, p.ends_at as ends from import_endings e join passes p on p.id = e.pass_id where e.import_id = {$import->id} and p.state <> 'revoked' and p.ended_by is null and p.ends_at is not distinct from {$ended} order by p.id");
        DB::statement("create temp table back_ties as select s.id, s.learner_id as person_id, o.name from import_ties i join people o on o.email = i.observer join people l on l.email = i.learner join observer_ties s on s.observer_id = o.id and s.learner_id = l.id where i.import_id = {$import->id} and s.created_at = '{$finished}' order by s.id");
        $came = "i.import_id = {$import->id} and i.is_new";
        DB::statement("create temp table back_people as select p.id from import_people i join people p on p.id = i.person_id where {$came} and ".Untouched::condition('p', ['passes' => 'back_passes', 'labels' => 'back_labels', 'observer_ties' => 'back_ties']).' order by p.id');
        $gave = ['passes' => 'import_passes', 'labels' => 'import_labels', 'endings' => 'import_endings', 'ties' => 'import_ties', 'people' => 'import_people'];
        $counts = [];
        foreach ($gave as $what => $table) {
            $goes = Value::int(DB::scalar("select count(*) from back_{$what}"));
            $all = DB::table($table)->where('import_id', $import->id)->when($what === 'people', static fn ($query) => $query->where('is_new', true))->count();
            $counts += [$what => $goes, "{$what}_stay" => max(0, $all - $goes)];
        }

        return $counts;
    }

    /** @param  array<string, int>  $counts  as found */
    public static function stay(array $counts): int
    {
        return $counts['passes_stay'] + $counts['labels_stay'] + $counts['endings_stay'] + $counts['ties_stay'];
    }
}
