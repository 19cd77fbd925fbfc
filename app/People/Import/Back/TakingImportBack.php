<?php

declare(strict_types=1);

namespace App\People\Import\Back;

use App\Access\SchoolClock;
use App\Database\Dialects;
use App\Database\Hand;
use App\Database\Room;
use App\Models\Import;
use App\People\ChangesOfPeople;
use App\People\Import\StagedImport;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/**
 * Takes back what a file brought, in one step: all that is still as the file left it goes in one short transaction; then people who came
 * by it and have nothing go, in groups, which another worker can go on with. Letters that are not sent yet are not sent any more.
 */
final readonly class TakingImportBack
{
    private const GROUP = 300;

    /** So often is it looked at anew, where people are changed at the last moment. */
    private const TRIES = 5;

    public function __construct(private SchoolClock $clock)
    {
    }

    /** All that goes, at once; or nothing, where people are changed faster than it can be looked at. */
    public function takeBack(Import $import): void
    {
        for ($try = 0; $try < self::TRIES; $try++) {
            ['basis' => $basis, 'basis_turn' => $turn] = ChangesOfPeople::basis();
            $counts = WhatGoesBack::find($import);
            $done = Room::for(fn (): bool => DB::transaction(fn (): bool => self::isAsItWas($basis, $turn) && Hand::writes($import->taken_back_by, "import {$import->id} taken back", fn (): bool => $this->apply($import, $counts))));
            if ($done) {
                return;
            }
        }
        Import::query()->whereKey($import->id)->where('state', 'taking back')->update(['state' => 'done', 'problem' => Say::text('files.staged_import.people_file_being_changed')]);
        $import->refresh();
    }

    /**
     * Lets a group of those go who came by it and have nothing.
     *
     * @return bool whether there are more
     */
    public function letSomeGo(Import $import): bool
    {
        $ids = DB::table('import_people')->where('import_id', $import->id)->where('is_new', true)->orderBy('id')->limit(self::GROUP)->pluck('person_id')->map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0)->all();
        if ($ids === []) {
            foreach (StagedImport::TABLES as $table) {
                StagedImport::deleteOf($table, $import);
            }

            return false;
        }
        $condition = Untouched::condition('people');
        $list = implode(', ', $ids);
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());
        $since = gmdate('Y-m-d H:i:s', $import->taken_back_at?->getTimestamp() ?? 0);
        DB::transaction(static function () use ($import, $ids, $list, $condition, $now, $since): void {
            $gone = DB::table('people')->whereIn('id', $ids)->whereRaw($condition)->delete();
            DB::insert("insert into activities (actor_id, person_id, action, before, happened_at) select ?, p.id, ?, ?, ? from people p where p.id in ({$list}) and not exists (select 1 from activities a where a.person_id = p.id and a.action in ('import.taken-back', 'pass.taken-back') and a.happened_at >= ?)", [$import->taken_back_by, 'import.taken-back', self::told($import), $now, $since]);
            DB::table('import_people')->where('import_id', $import->id)->whereIn('person_id', $ids)->delete();
            $tally = $import->refresh()->tally;
            $import->update(['tally' => [...$tally, 'back_people' => ($tally['back_people'] ?? 0) + $gone]]);
        });

        return true;
    }

    /** Whether nobody of whom it was found what goes has been changed since. */
    private static function isAsItWas(int $basis, int $turn): bool
    {
        foreach (array_chunk(ChangesOfPeople::since($basis, $turn), 1000) as $some) {
            foreach (['back_passes', 'back_labels', 'back_endings', 'back_ties'] as $table) {
                if (DB::table("{$table}")->whereIn('person_id', $some)->exists()) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @param  array<string, int>  $counts */
    private function apply(Import $import, array $counts): bool
    {
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());
        $mine = Import::query()->whereKey($import->id)->where('state', 'taking back')->update([
            'state' => 'taken back', 'taken_back_at' => $now, 'lettered' => null, 'lettered_observers' => null,
            'tally' => json_encode(['back_passes' => $counts['passes'], 'back_labels' => $counts['labels'], 'back_endings' => $counts['endings'], 'back_ties' => $counts['ties'], 'back_stay' => WhatGoesBack::stay($counts), 'back_people' => 0], JSON_THROW_ON_ERROR),
        ]);
        if ($mine !== 1) {
            return true;
        }
        $by = $import->taken_back_by;
        $told = self::told($import);
        $dialect = Dialects::spoken();
        DB::insert('insert into activities (actor_id, action, before, happened_at) values (?, ?, ?, ?)', [$by, 'import.taken-back', $told, $now]);
        // Of who goes themselves there is nobody to tell of: should they stay after all, they get their line then.
        $stays = 'person_id not in (select id from back_people)';
        DB::insert("insert into activities (actor_id, course_id, person_id, action, before, happened_at) select ?, course_id, person_id, ?, line, ? from back_passes where {$stays} order by person_id", [$by, 'pass.taken-back', $now]);
        DB::insert("insert into activities (actor_id, course_id, person_id, action, before, after, happened_at) select ?, course_id, person_id, 'pass.goes-on', {$dialect->object(['offer' => 'offer', 'ends_at' => 'ends'])}, {$dialect->object(['offer' => 'offer', 'ends_at' => 'was'])}, ? from back_endings order by person_id", [$by, $now]);
        DB::insert("insert into activities (actor_id, person_id, action, before, happened_at) select ?, person_id, ?, ?, ? from (select person_id from back_labels union select person_id from back_ties) people where {$stays} order by person_id", [$by, 'import.taken-back', $told, $now]);
        DB::update('update passes as p set ends_at = b.was, updated_at = ? from back_endings b where b.id = p.id', [$now]);
        foreach (['passes' => 'back_passes', 'labels' => 'back_labels', 'observer_ties' => 'back_ties'] as $table => $ids) {
            DB::delete("delete from {$table} where id in (select id from {$ids})");
        }
        $import->refresh();

        return true;
    }

    /** What the log says of it. */
    private static function told(Import $import): string
    {
        return json_encode(['file' => $import->name], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }
}
