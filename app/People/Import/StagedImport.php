<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Access\SchoolClock;
use App\Database\Dialects;
use App\Database\Hand;
use App\Database\Room;
use App\Models\Import;
use App\Models\Offer;
use App\Models\Pass;
use App\People\ChangesOfPeople;
use App\People\Staged\Numbers;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/**
 * Brings in all that was read of a file, or nobody. First it is laid down who is new, and what each gets, in groups, which
 * can be left and gone on with by another worker; numbers of new people are kept for them meanwhile. Then all of it is put
 * in force by a few statements, in one short transaction that checks that nobody of the file was changed meanwhile.
 * ImportLetters go out after that.
 */
final readonly class StagedImport
{
    private const GROUP = 500;

    /** What is laid down, by kind. */
    public const TABLES = ['import_people', 'import_passes', 'import_labels', 'import_endings', 'import_ties'];

    /** So often are those laid down anew who were changed at the last moment. */
    private const TRIES = 5;

    public function __construct(private SchoolClock $clock, private LayRows $rows)
    {
    }

    /** @throws NotReadable if it is not ready, or is being brought in already */
    public function begin(Import $import): void
    {
        // Whoever is second finds nothing to do.
        $mine = Import::query()->whereKey($import->id)->where('state', 'ready')->update(['state' => 'bringing in', 'staged' => 0, 'problem' => null, ...ChangesOfPeople::basis()]);
        if ($mine !== 1) {
            throw new NotReadable(Say::text('files.staged_import.file_not_ready_be'));
        }
        $import->refresh();
    }

    /**
     * Lays down the next group.
     *
     * @return bool whether there are more
     *
     * @throws NotReadable if an offer is not there or not published any more
     */
    public function stageSome(Import $import): bool
    {
        $rows = $import->rows()->where('id', '>', $import->staged)->orderBy('id')->limit(self::GROUP)->get();
        if ($rows->isEmpty()) {
            return false;
        }
        $this->rows->lay($import, $rows->toBase(), $rows->last()->id);

        return $rows->count() === self::GROUP;
    }

    /**
     * Everything at once.
     *
     * @return array<string, int> counts of what was done
     *
     * @throws NotReadable if people are changed faster than it can be laid down
     */
    public function putInForce(Import $import): array
    {
        for ($try = 0; $try < self::TRIES; $try++) {
            $this->layAnew($import);
            $counts = self::counts($import);
            $done = Room::for(fn (): ?array => DB::transaction(fn (): ?array => self::changedMeanwhile($import) === [] ? Hand::writes($import->author_id, "import {$import->id}", fn (): array => $this->apply($import, $counts)) : null));
            if ($done !== null) {
                $this->sweep($import);

                return $done;
            }
        }
        throw new NotReadable(Say::text('files.staged_import.people_file_being_changed'));
    }

    /**
     * Lets go of what was laid down, where it could not be brought in.
     */
    public function giveUp(Import $import, string $why): void
    {
        Import::query()->whereKey($import->id)->where('state', 'bringing in')->update(['state' => 'ready', 'problem' => $why]);
        foreach (self::TABLES as $table) {
            self::deleteOf($table, $import);
        }
    }

    /** @return list<int> people of the file to whom something has happened since it was laid down, and those who have come meanwhile */
    private static function changedMeanwhile(Import $import): array
    {
        $changed = ChangesOfPeople::since($import->basis, $import->basis_turn);
        $of = static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0;
        $among = [];
        foreach (array_chunk($changed, 1000) as $some) {
            array_push($among, ...DB::table('import_people')->where('import_id', $import->id)->whereIn('person_id', $some)->pluck('person_id')->map($of)->all());
            // Whoever has come, or has shown that an address is theirs, has left a line in the log as well.
            $came = DB::table('people')->whereIn('id', $some)->select('email');
            array_push($among, ...DB::table('import_people')->where('import_id', $import->id)->where('is_new', true)->whereIn('email', $came)->pluck('person_id')->map($of)->all());
        }

        return array_values(array_unique($among));
    }

    private function layAnew(Import $import): void
    {
        $basis = ChangesOfPeople::basis();
        $changed = self::changedMeanwhile($import);
        foreach (array_chunk($changed, self::GROUP) as $ids) {
            $emails = DB::table('import_people')->where('import_id', $import->id)->whereIn('person_id', $ids)->pluck('email')->all();
            foreach (['import_people', 'import_passes', 'import_labels', 'import_endings'] as $table) {
                DB::table($table)->where('import_id', $import->id)->whereIn('person_id', $ids)->delete();
            }
            $this->rows->lay($import, $import->rows()->whereIn('email', $emails)->orderBy('id')->get()->toBase(), null);
        }
        $import->update($basis);
    }

    /**
     * What can be reckoned before anybody has to wait; who comes without a pass is kept in a table of this connection alone.
     *
     * @return array{changed: int, unchanged: int} of those who were known
     */
    private static function counts(Import $import): array
    {
        DB::statement('drop table if exists came_without_pass');
        DB::statement("create temp table came_without_pass as select person_id from import_people p where p.import_id = {$import->id} and p.is_new and not exists (select 1 from import_passes g where g.import_id = p.import_id and g.person_id = p.person_id)");
        $known = DB::table('import_people')->where('import_id', $import->id)->where('is_new', false)->count();
        $changed = DB::scalar('select count(*) from import_people p where p.import_id = ? and not p.is_new and (exists (select 1 from import_passes g where g.import_id = p.import_id and g.person_id = p.person_id) or exists (select 1 from import_labels l where l.import_id = p.import_id and l.person_id = p.person_id) or exists (select 1 from import_endings e where e.import_id = p.import_id and e.person_id = p.person_id))', [$import->id]);
        $changed = is_numeric($changed) ? (int) $changed : 0;

        return ['changed' => $changed, 'unchanged' => $known - $changed];
    }

    /**
     * @param  array{changed: int, unchanged: int}  $counts
     * @return array<string, int>
     *
     * @throws NotReadable
     */
    private function apply(Import $import, array $counts): array
    {
        if (Import::query()->whereKey($import->id)->value('state') !== 'bringing in') {
            throw new NotReadable(Say::text('files.staged_import.file_not_ready_be'));
        }
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());
        $by = 'from '.$import->name;
        $source = mb_substr($by, 0, 200);
        $made = json_encode(['by' => $by], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        // By person, as they stand in an index: the pages that are written to come one after the other, and nothing is sorted.
        $new = DB::affectingStatement('insert into people (id, name, email, created_at, updated_at) select person_id, name, email, ?, ? from import_people where import_id = ? and is_new order by person_id', [$now, $now, $import->id]);
        DB::insert('insert into activities (actor_id, person_id, action, after, happened_at) select ?, person_id, ?, ?, ? from came_without_pass order by person_id', [$import->author_id, 'person.made', $made, $now]);
        $passes = DB::affectingStatement(
            "insert into passes (person_id, course_id, offer_id, starts_at, ends_at, paced_from, state, source, given_by, import_id, created_at, updated_at) select person_id, course_id, offer_id, starts_at, ends_at, paced_from, 'active', ?, ?, ?, ?, ? from import_passes where import_id = ? order by person_id, id",
            [$source, $import->author_id, $import->id, $now, $now, $import->id],
        );
        DB::insert('insert into activities (actor_id, course_id, person_id, action, after, happened_at) select ?, course_id, person_id, ?, line, ? from import_passes where import_id = ? order by person_id, id', [$import->author_id, 'pass.given', $now, $import->id]);
        $labels = DB::affectingStatement('insert into labels (person_id, label, source) select person_id, label, ? from import_labels where import_id = ? order by person_id, label', [self::labelSource($import), $import->id]);
        $ended = self::end($import, $by, $now);
        // Who looks in on somebody already is not written to again.
        DB::delete('delete from import_ties where import_id = ? and exists (select 1 from observer_ties s join people o on o.id = s.observer_id join people l on l.id = s.learner_id where o.email = import_ties.observer and l.email = import_ties.learner)', [$import->id]);
        // Observers may stand before those they look in on; who is nowhere is passed over.
        $ties = DB::affectingStatement(
            'insert into observer_ties (observer_id, learner_id, created_at, updated_at) select o.id, l.id, ?, ? from import_ties t join people o on o.email = t.observer join people l on l.email = t.learner where t.import_id = ? order by t.id on conflict do nothing',
            [$now, $now, $import->id],
        );
        $done = ['new' => $new, ...$counts, 'passes' => $passes, 'labels' => $labels, 'ended' => $ended, 'ties' => $ties];
        $import->update(['state' => 'done', 'tally' => $done, 'finished_at' => $this->clock->now(), 'lettered' => 0, 'lettered_observers' => 0]);

        return $done;
    }

    /** Passes of files end as was laid down; one that has not begun ends as it begins. */
    private static function end(Import $import, string $by, string $now): int
    {
        $dialect = Dialects::spoken();
        $ended = DB::update('update passes as p set ends_at = '.$dialect->greatest('p.starts_at', 'coalesce(e.becomes, ?)').', updated_at = ? from import_endings e where e.import_id = ? and e.pass_id = p.id', [$now, $now, $import->id]);
        DB::insert(
            "insert into activities (actor_id, course_id, person_id, action, before, after, happened_at) select ?, course_id, person_id, 'pass.ended', {$dialect->object(['offer' => 'offer', 'ends_at' => 'was'])}, {$dialect->object(['offer' => 'offer', 'ends_at' => 'coalesce(becomes, ?)', 'by' => '?'])}, ? from import_endings where import_id = ? order by person_id, id",
            [$import->author_id, $now, $by, $now, $import->id],
        );

        return $ended;
    }

    /** The rows that were read are not needed any more; what was laid down is kept for a time, to be taken back. */
    private function sweep(Import $import): void
    {
        self::deleteOf('import_rows', $import);
    }

    /** What is said to have given its labels. */
    public static function labelSource(Import $import): string
    {
        return mb_substr($import->name, 0, 200);
    }

    /** Who was here before and is written to no more need not be remembered: what they got stands by itself. */
    public static function forgetWhoWasKnown(Import $import): void
    {
        self::deleteOf('import_people', $import, 'not is_new');
    }

    /** Some thousands at a time, so that nobody waits for long. */
    public static function deleteOf(string $table, Import $import, string $where = 'true'): void
    {
        do {
            $gone = DB::delete("delete from {$table} where id in (select id from {$table} where import_id = ? and {$where} limit 5000)", [$import->id]);
        } while ($gone === 5000);
    }
}
