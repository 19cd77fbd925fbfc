<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Access\NewPasses;
use App\Access\SchoolClock;
use App\Database\Room;
use App\Models\Import;
use App\Models\ImportRow;
use App\Models\Label;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\People\Accounts\SendSignInLink;
use App\People\ChangesOfPeople;
use App\People\Staged\Numbers;
use App\Standins\Mail\Letter;
use App\Standins\Mail\Mailer;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Brings in all that was read of a file, or nobody. First it is laid down who is new, and what each gets, in groups, which
 * can be left and gone on with by another worker; numbers of new people are kept for them meanwhile. Then all of it is put
 * in force by a few statements, in one short transaction that checks that nobody of the file was changed meanwhile.
 * Letters go out after that.
 */
final readonly class StagedImport
{
    private const GROUP = 500;

    /** So often are those laid down anew who were changed at the last moment. */
    private const TRIES = 5;

    public function __construct(private SchoolClock $clock, private NewPasses $newPasses, private SendSignInLink $links, private Mailer $post)
    {
    }

    /** @throws NotReadable if it is not ready, or is being brought in already */
    public function begin(Import $import): void
    {
        // Whoever is second finds nothing to do.
        $mine = Import::query()->whereKey($import->id)->where('state', 'ready')->update(['state' => 'bringing in', 'staged' => 0, 'problem' => null, ...ChangesOfPeople::basis()]);
        if ($mine !== 1) {
            throw new NotReadable('This file is not ready to be brought in, or has been already.');
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
        $this->lay($import, $rows->toBase(), $rows->last()->id);

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
            $done = Room::for(fn (): ?array => DB::transaction(fn (): ?array => self::changedMeanwhile($import) === [] ? $this->apply($import, $counts) : null));
            if ($done !== null) {
                $this->sweep($import);

                return $done;
            }
        }
        throw new NotReadable('The people of this file are being changed by somebody else just now. Nothing was done; please try again in a moment.');
    }

    /**
     * Lets go of what was laid down, where it could not be brought in.
     */
    public function giveUp(Import $import, string $why): void
    {
        Import::query()->whereKey($import->id)->where('state', 'bringing in')->update(['state' => 'ready', 'problem' => $why]);
        foreach (['import_people', 'import_passes', 'import_labels', 'import_ties'] as $table) {
            self::deleteOf($table, $import);
        }
    }

    /**
     * Writes to those who are new or got something, a group at a time, once each.
     *
     * @return bool whether there are more
     */
    public function writeSome(Import $import): bool
    {
        $last = $import->refresh()->lettered;
        if ($last === null) {
            return false;
        }
        $people = DB::table('import_people')->where('import_id', $import->id)->where('id', '>', $last)->orderBy('id')->limit(self::GROUP)->get();
        $known = Person::query()->whereIn('id', $people->pluck('person_id')->all())->get()->keyBy('id');
        $got = self::whoGot($import, array_values($people->pluck('person_id')->map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0)->all()));
        $welcome = $letters = [];
        foreach ($people as $row) {
            $person = $known->get(is_numeric($row->person_id) ? (int) $row->person_id : 0);
            if ($person !== null && (bool) $row->is_new) {
                $welcome[] = ['person' => $person, 'subject' => 'You have been given an account', 'before' => 'You have been given an account.'];
            } elseif ($person !== null && isset($got[$person->id])) {
                $letters[] = new Letter($person->id, $person->email, 'Something new for you', "Dear {$person->name},\n\nsomething has been added to your account. It is the same account as before: sign in as you always do.\n");
            }
        }
        $more = $people->count() === self::GROUP;
        $to = $people->last()->id ?? null;
        DB::transaction(function () use ($import, $last, $welcome, $letters, $more, $to): void {
            // Another worker may have written to them.
            if (Import::query()->whereKey($import->id)->where('lettered', $last)->update(['lettered' => $more ? $to : null]) === 1) {
                ($this->links)($welcome);
                $this->post->send($letters);
            }
        });
        if (! $more) {
            foreach (['import_people', 'import_passes', 'import_labels'] as $table) {
                self::deleteOf($table, $import);
            }
        }

        return $more;
    }

    /** @param  Collection<int, ImportRow>  $rows */
    private function lay(Import $import, Collection $rows, ?int $upTo): void
    {
        $people = $this->people($import, $rows);
        $labels = $this->labels($import, $rows, $people);
        $passes = $this->passes($import, $rows, $people);
        $ties = [];
        foreach ($rows as $row) {
            foreach ($row->observes as $learner) {
                if ($learner !== $row->email) {
                    $ties[] = ['import_id' => $import->id, 'observer' => $row->email, 'learner' => $learner];
                }
            }
        }
        DB::transaction(static function () use ($import, $people, $labels, $passes, $ties, $upTo): void {
            if ($upTo !== null && Import::query()->whereKey($import->id)->where('state', 'bringing in')->where('staged', $import->staged)->update(['staged' => $upTo]) !== 1) {
                // Another worker has laid down the same group.
                return;
            }
            foreach (['import_people' => array_column($people, 'row'), 'import_labels' => $labels, 'import_passes' => $passes, 'import_ties' => $ties] as $table => $columns) {
                foreach (array_chunk(array_values(array_filter($columns)), 100) as $some) {
                    DB::table($table)->insertOrIgnore($some);
                }
            }
        });
        $import->refresh();
    }

    /**
     * @param  Collection<int, ImportRow>  $rows
     * @return array<string, array{person: Person, row: ?array<string, mixed>}> by address; the row where it is not laid down yet
     */
    private function people(Import $import, Collection $rows): array
    {
        $names = [];
        foreach ($rows as $row) {
            $names[$row->email] ??= $row->name;
        }
        $emails = array_map(strval(...), array_keys($names));
        $known = Person::query()->whereIn('email', $emails)->get()->keyBy('email');
        $kept = DB::table('import_people')->where('import_id', $import->id)->whereIn('email', $emails)->pluck('person_id', 'email');
        $missing = array_values(array_filter($emails, static fn (string $email): bool => ! $known->has($email) && ! $kept->has($email)));
        $number = self::keepNumbers(count($missing));
        $people = [];
        foreach ($names as $email => $name) {
            $email = (string) $email;
            $person = $known->get($email);
            if ($person === null) {
                $id = $kept->get($email);
                $person = (new Person)->forceFill(['id' => is_numeric($id) ? (int) $id : $number++, 'email' => $email, 'name' => $name]);
            }
            $people[$email] = ['person' => $person, 'row' => $kept->has($email) ? null : ['import_id' => $import->id, 'person_id' => $person->id, 'is_new' => ! $known->has($email), 'email' => $email, 'name' => $name]];
        }

        return $people;
    }

    /**
     * Numbers that nobody else will be given.
     *
     * @return int the first of them
     */
    private static function keepNumbers(int $count): int
    {
        if ($count === 0) {
            return 0;
        }

        return Numbers::keep('people', $count) - $count + 1;
    }

    /**
     * @param  Collection<int, ImportRow>  $rows
     * @param  array<string, array{person: Person, row: ?array<string, mixed>}>  $people
     * @return list<array<string, mixed>>
     */
    private function labels(Import $import, Collection $rows, array $people): array
    {
        $offers = Offer::query()->get(['id', 'labels'])->keyBy('id');
        $has = [];
        foreach (Label::query()->whereIn('person_id', array_map(static fn (array $one): int => $one['person']->id, array_values($people)))->get() as $label) {
            $has[$label->person_id][$label->label] = true;
        }
        $new = [];
        foreach ($rows as $row) {
            $person = $people[$row->email]['person'];
            foreach ([...$row->labels, ...$offers->get($row->offer_id ?? 0)->labels ?? []] as $label) {
                if (! isset($has[$person->id][$label])) {
                    $has[$person->id][$label] = true;
                    $new[] = ['import_id' => $import->id, 'person_id' => $person->id, 'label' => $label];
                }
            }
        }

        return $new;
    }

    /**
     * Nobody gets a pass twice that they hold from the same instant, or, where the file names none, that has not ended.
     *
     * @param  Collection<int, ImportRow>  $rows
     * @param  array<string, array{person: Person, row: ?array<string, mixed>}>  $people
     * @return list<array<string, mixed>>
     */
    private function passes(Import $import, Collection $rows, array $people): array
    {
        $now = $this->clock->now();
        $ids = array_map(static fn (array $one): int => $one['person']->id, array_values($people));
        $held = [];
        foreach (Pass::query()->whereIn('person_id', $ids)->get() as $pass) {
            $held[$pass->person_id][$pass->offer_id][] = [$pass->starts_at->getTimestamp(), $pass->ends_at?->getTimestamp()];
        }
        $came = [];
        // What rows further up in the file give counts as well.
        foreach (DB::table('import_passes')->where('import_id', $import->id)->whereIn('person_id', $ids)->get() as $pass) {
            assert(is_int($pass->person_id) && is_int($pass->offer_id) && is_string($pass->starts_at));
            $came[$pass->person_id] = true;
            $held[$pass->person_id][$pass->offer_id][] = [(int) strtotime("{$pass->starts_at} UTC"), is_string($pass->ends_at) ? (int) strtotime("{$pass->ends_at} UTC") : null];
        }
        // By offer and beginning, for those are made alike.
        $wanted = [];
        foreach ($rows as $row) {
            if ($row->offer_id === null) {
                continue;
            }
            $person = $people[$row->email]['person'];
            $starts = $row->starts_at?->getTimestamp();
            $has = array_filter($held[$person->id][$row->offer_id] ?? [], static fn (array $pass): bool => $starts !== null ? $pass[0] === $starts : $pass[1] === null || $pass[1] > $now);
            if ($has === []) {
                $held[$person->id][$row->offer_id][] = [$starts ?? $now, null];
                $wanted["{$row->offer_id} ".($starts ?? $now)][] = $person;
            }
        }
        $offers = $wanted === [] ? new Collection : Offer::query()->with('course.liveRevision')->get()->keyBy('id')->toBase();
        $new = [];
        foreach ($wanted as $what => $some) {
            [$offerId, $from] = array_map(intval(...), explode(' ', $what));
            $offer = $offers->get($offerId) ?? throw new NotReadable('An offer of the file is not there any more.');
            $columns = $this->newPasses->columnsForAll(new Collection($some), $offer, $from, false) ?? throw new NotReadable("What {$offer->name} opens is not published yet.");
            foreach ($some as $person) {
                if (($columns[$person->id] ?? null) !== null) {
                    // One line of the log says of somebody new that they have come, and with what.
                    $comes = ! $person->exists && ! isset($came[$person->id]);
                    $came[$person->id] = true;
                    $new[] = self::pass($import, $person, $offer, $columns[$person->id], $comes);
                }
            }
        }

        return $new;
    }

    /**
     * @param  array{starts_at: int, ends_at: ?int, paced_from: ?int}  $pass  instants
     * @param  bool  $comes  they were not here before
     * @return array<string, mixed>
     */
    private static function pass(Import $import, Person $person, Offer $offer, array $pass, bool $comes): array
    {
        $stored = static fn (?int $instant): ?string => $instant === null ? null : gmdate('Y-m-d H:i:s', $instant);

        return [
            'import_id' => $import->id, 'person_id' => $person->id, 'course_id' => $offer->course_id, 'offer_id' => $offer->id,
            'starts_at' => $stored($pass['starts_at']), 'ends_at' => $stored($pass['ends_at']), 'paced_from' => $stored($pass['paced_from']),
            'line' => json_encode(['offer' => $offer->key, 'from' => $stored($pass['starts_at']), 'until' => $stored($pass['ends_at']), 'by' => "from {$import->name}", ...($comes ? ['comes' => true] : [])], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
        ];
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
            foreach (['import_people', 'import_passes', 'import_labels'] as $table) {
                DB::table($table)->where('import_id', $import->id)->whereIn('person_id', $ids)->delete();
            }
            $this->lay($import, $import->rows()->whereIn('email', $emails)->orderBy('id')->get()->toBase(), null);
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
        DB::statement('drop table if exists temp.came_without_pass');
        DB::statement("create temp table came_without_pass as select person_id from import_people p where p.import_id = {$import->id} and p.is_new = 1 and not exists (select 1 from import_passes g where g.import_id = p.import_id and g.person_id = p.person_id)");
        $known = DB::table('import_people')->where('import_id', $import->id)->where('is_new', false)->count();
        $changed = DB::scalar('select count(*) from import_people p where p.import_id = ? and p.is_new = 0 and (exists (select 1 from import_passes g where g.import_id = p.import_id and g.person_id = p.person_id) or exists (select 1 from import_labels l where l.import_id = p.import_id and l.person_id = p.person_id))', [$import->id]);
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
            throw new NotReadable('This file is not ready to be brought in, or has been already.');
        }
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());
        $by = 'from '.$import->name;
        $source = mb_substr($by, 0, 200);
        $made = json_encode(['by' => $by], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        // By person, as they stand in an index: the pages that are written to come one after the other, and nothing is sorted.
        $new = DB::affectingStatement('insert into people (id, name, email, created_at, updated_at) select person_id, name, email, ?, ? from import_people where import_id = ? and is_new = 1 order by person_id', [$now, $now, $import->id]);
        DB::insert('insert into activities (actor_id, person_id, action, after, happened_at) select ?, person_id, ?, ?, ? from temp.came_without_pass order by person_id', [$import->author_id, 'person.made', $made, $now]);
        $passes = DB::affectingStatement(
            "insert into passes (person_id, course_id, offer_id, starts_at, ends_at, paced_from, state, source, given_by, created_at, updated_at) select person_id, course_id, offer_id, starts_at, ends_at, paced_from, 'active', ?, ?, ?, ? from import_passes where import_id = ? order by person_id, id",
            [$source, $import->author_id, $now, $now, $import->id],
        );
        DB::insert('insert into activities (actor_id, course_id, person_id, action, after, happened_at) select ?, course_id, person_id, ?, line, ? from import_passes where import_id = ? order by person_id, id', [$import->author_id, 'pass.given', $now, $import->id]);
        $labels = DB::affectingStatement('insert into labels (person_id, label, source) select person_id, label, ? from import_labels where import_id = ? order by person_id, label', [mb_substr($import->name, 0, 200), $import->id]);
        // Observers may stand before those they look in on; who is nowhere is passed over.
        $ties = DB::affectingStatement(
            'insert or ignore into observer_ties (observer_id, learner_id, created_at, updated_at) select o.id, l.id, ?, ? from import_ties t join people o on o.email = t.observer join people l on l.email = t.learner where t.import_id = ? order by t.id',
            [$now, $now, $import->id],
        );
        $done = ['new' => $new, ...$counts, 'passes' => $passes, 'labels' => $labels, 'ties' => $ties];
        $import->update(['state' => 'done', 'tally' => $done, 'finished_at' => $this->clock->now(), 'lettered' => 0]);

        return $done;
    }

    /** The rows that were read are not needed any more; whom to write to is. */
    private function sweep(Import $import): void
    {
        self::deleteOf('import_rows', $import);
        self::deleteOf('import_ties', $import);
    }

    private static function deleteOf(string $table, Import $import): void
    {
        do {
            $gone = DB::delete("delete from {$table} where id in (select id from {$table} where import_id = ? limit 5000)", [$import->id]);
        } while ($gone === 5000);
    }

    /**
     * @param  list<int>  $people
     * @return array<int, true>
     */
    private static function whoGot(Import $import, array $people): array
    {
        $got = [];
        foreach (['import_passes', 'import_labels'] as $table) {
            foreach (DB::table($table)->where('import_id', $import->id)->whereIn('person_id', $people)->distinct()->pluck('person_id') as $id) {
                $got[is_numeric($id) ? (int) $id : 0] = true;
            }
        }

        return $got;
    }
}
