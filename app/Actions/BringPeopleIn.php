<?php

declare(strict_types=1);

namespace App\Actions;

use App\Keep\Bringing\CsvPeople;
use App\Keep\Bringing\NotReadable;
use App\Keep\Bringing\PersonLine;
use App\Keep\Bringing\RosterPeople;
use App\Keep\Bringing\WrongLine;
use App\Keep\NewPasses;
use App\Keep\SchoolClock;
use App\Models\Import;
use App\Models\ImportRow;
use App\Models\Label;
use App\Models\ObserverTie;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\Standins\Mail\Letter;
use App\Standins\Mail\Post;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * Brings people in from a file in two steps, each in bounded memory: rows are read and looked at in groups, which can be
 * left and gone on with; then all of them are brought in, in one transaction, or none.
 */
final readonly class BringPeopleIn
{
    private const GROUP = 500;

    /** Errors that are told; the others are counted. */
    private const ERRORS = 100;

    public function __construct(private SchoolClock $clock, private NewPasses $newPasses, private SendSignInLink $links, private Post $post)
    {
    }

    /** @param  array<string, mixed>  $options */
    public function begin(string $kind, string $name, string $path, array $options, ?Person $author): Import
    {
        return Import::query()->create([
            'author_id' => $author?->id, 'kind' => $kind, 'name' => mb_substr($name, 0, 200), 'path' => $path, 'options' => $options,
            'state' => 'new', 'tally' => [], 'errors' => [], 'made_at' => $this->clock->now(),
        ]);
    }

    /**
     * Reads on for about so long; what was said of the columns before is read anew.
     *
     * @param  ?array<string, mixed>  $options  to begin with; null: go on
     *
     * @throws NotReadable
     */
    public function read(Import $import, ?array $options, float $seconds = 2.0): void
    {
        if ($options !== null) {
            ImportRow::query()->where('import_id', $import->id)->delete();
            $import->update(['options' => $options, 'state' => 'reading', 'position' => 0, 'rows' => 0, 'tally' => [], 'errors' => []]);
        }
        if ($import->state !== 'reading') {
            return;
        }
        $start = hrtime(true);
        $group = $errors = [];
        // What was read last is always among the rows: reading pauses right after they are written.
        $line = (int) ImportRow::query()->where('import_id', $import->id)->max('line');
        $tally = $import->tally;
        $rows = $import->rows;
        $position = $import->position;
        foreach ($this->lines($import, $line) as $at => $one) {
            $rows++;
            $position = $at;
            if ($one instanceof WrongLine) {
                $tally['wrong'] = ($tally['wrong'] ?? 0) + 1;
                $errors[] = ['line' => $one->line, 'message' => $one->message];
            } else {
                $group[] = $one;
            }
            if (count($group) >= self::GROUP) {
                $this->stage($import, $group, $tally);
                $group = [];
                // A bundle is read as a whole: it has no place at which to go on.
                if ($import->kind === 'csv' && (hrtime(true) - $start) / 1e9 > $seconds) {
                    $this->note($import, $position, $rows, $tally, $errors, 'reading');

                    return;
                }
            }
        }
        $this->stage($import, $group, $tally);
        $this->note($import, $position, $rows, $tally, $errors, ($tally['wrong'] ?? 0) > 0 || $rows === 0 ? 'refused' : 'ready');
    }

    /** @return \Generator<int, PersonLine|WrongLine> */
    private function lines(Import $import, int $line): \Generator
    {
        $options = $import->options;
        $labels = array_values(array_filter((array) ($options['labels'] ?? []), is_string(...)));
        $path = Storage::path($import->path);
        if ($import->kind === 'oneroster') {
            return (new RosterPeople($path, self::texts($options['classes'] ?? []), $labels, $this->clock))->read();
        }
        $offers = [];
        foreach (Offer::query()->get(['key', 'name']) as $offer) {
            $offers[mb_strtolower($offer->name)] = $offer->key;
        }
        foreach (Offer::query()->get(['key']) as $offer) {
            $offers[mb_strtolower($offer->key)] = $offer->key;
        }
        $columns = [];
        foreach ((array) ($options['columns'] ?? []) as $field => $column) {
            $columns[(string) $field] = is_numeric($column) ? (int) $column : null;
        }
        [$separator] = CsvPeople::look($path);
        $default = is_string($options['offer'] ?? null) && $options['offer'] !== '' ? $options['offer'] : null;

        return (new CsvPeople($path, $separator, $columns, $offers, $default, $labels, $this->clock))->read($import->position, $line);
    }

    /** @return array<string, string> */
    private static function texts(mixed $map): array
    {
        $texts = [];
        foreach (is_array($map) ? $map : [] as $key => $value) {
            if (is_string($value) && $value !== '') {
                $texts[(string) $key] = $value;
            }
        }

        return $texts;
    }

    /**
     * @param  list<PersonLine>  $lines
     * @param  array<string, int>  $tally
     */
    private function stage(Import $import, array $lines, array &$tally): void
    {
        if ($lines === []) {
            return;
        }
        $emails = array_values(array_unique(array_map(static fn (PersonLine $line): string => $line->email, $lines)));
        $known = Person::query()->whereIn('email', $emails)->pluck('id', 'email')->all();
        $before = ImportRow::query()->where('import_id', $import->id)->whereIn('email', $emails)->pluck('email')->flip()->all();
        $offers = Offer::query()->pluck('id', 'key')->all();
        $rows = [];
        foreach ($lines as $line) {
            $outcome = isset($before[$line->email]) ? 'twice' : (isset($known[$line->email]) ? 'known' : 'new');
            $before[$line->email] = true;
            $tally[$outcome] = ($tally[$outcome] ?? 0) + 1;
            $rows[] = [
                'import_id' => $import->id, 'line' => $line->line, 'email' => $line->email, 'name' => $line->name,
                'labels' => json_encode($line->labels, JSON_THROW_ON_ERROR), 'offer_id' => $line->offer === null ? null : $offers[$line->offer] ?? null,
                'starts_at' => $line->starts === null ? null : gmdate('Y-m-d H:i:s', $line->starts), 'observes' => json_encode($line->observes, JSON_THROW_ON_ERROR),
            ];
        }
        ImportRow::query()->insert($rows);
    }

    /**
     * @param  array<string, int>  $tally
     * @param  list<array{line: int, message: string}>  $errors
     */
    private function note(Import $import, int $position, int $rows, array $tally, array $errors, string $state): void
    {
        $import->update(['position' => $position, 'rows' => $rows, 'tally' => $tally, 'errors' => array_slice([...$import->errors, ...$errors], 0, self::ERRORS), 'state' => $state]);
    }

    /**
     * All that was read, in one transaction.
     *
     * @return array<string, int> counts of what was done
     */
    public function bringIn(Import $import): array
    {
        return DB::transaction(function () use ($import): array {
            // Whoever is second finds nothing to do.
            if (Import::query()->whereKey($import->id)->where('state', 'ready')->update(['state' => 'bringing in']) !== 1) {
                throw new NotReadable('This file is not ready to be brought in, or has been already.');
            }
            $author = $import->author_id === null ? null : Person::query()->find($import->author_id);
            $done = ['new' => 0, 'changed' => 0, 'unchanged' => 0, 'passes' => 0, 'labels' => 0, 'ties' => 0];
            $now = $this->clock->now();
            $offers = Offer::query()->with('course.liveRevision')->get()->keyBy('id');
            ImportRow::query()->where('import_id', $import->id)->orderBy('id')->chunkById(self::GROUP, function (Collection $rows) use ($import, $author, $offers, $now, &$done): void {
                $this->group($import, $rows, $author, $offers, $now, $done);
                // Told outside the transaction, to whoever looks meanwhile.
                Cache::put("import {$import->id}", $done['new'] + $done['changed'] + $done['unchanged'], 3600);
            });
            // Ties last: observers may stand before those they look in on.
            ImportRow::query()->where('import_id', $import->id)->where('observes', '!=', '[]')->orderBy('id')->chunkById(self::GROUP, function (Collection $rows) use (&$done): void {
                $this->tie($rows, $done);
            });
            ImportRow::query()->where('import_id', $import->id)->delete();
            $import->update(['state' => 'done', 'tally' => $done, 'finished_at' => $now]);

            return $done;
        });
    }

    /**
     * @param  Collection<int, ImportRow>  $rows
     * @param  Collection<int, Offer>  $offers
     * @param  array<string, int>  $done
     */
    private function group(Import $import, Collection $rows, ?Person $author, Collection $offers, int $now, array &$done): void
    {
        $stamp = gmdate('Y-m-d H:i:s', $now);
        $emails = array_values(array_unique($rows->pluck('email')->map(strval(...))->all()));
        $known = Person::query()->whereIn('email', $emails)->get()->keyBy('email');
        $new = [];
        foreach ($rows as $row) {
            if (! $known->has($row->email)) {
                $new[$row->email] ??= ['name' => $row->name, 'email' => $row->email, 'created_at' => $stamp, 'updated_at' => $stamp];
            }
        }
        foreach (array_chunk(array_values($new), 200) as $some) {
            Person::query()->insert($some);
        }
        $people = Person::query()->whereIn('email', $emails)->get()->keyBy('email');
        $touched = $this->labels($rows, $people, $offers, $import->name, $done) + $this->passes($rows, $people, $offers, $author, $import->name, $now, $done);
        $log = $welcome = $letters = [];
        foreach ($people as $email => $person) {
            if (isset($new[$email])) {
                $log[] = ['actor_id' => $author?->id, 'person_id' => $person->id, 'action' => 'person.made', 'after' => json_encode(['by' => 'from '.$import->name], JSON_THROW_ON_ERROR), 'happened_at' => $stamp];
                $welcome[] = ['person' => $person, 'subject' => 'You have been given an account', 'before' => 'You have been given an account.'];
                $done['new']++;
            } elseif (isset($touched[$person->id])) {
                $letters[] = new Letter($person->id, $email, 'Something new for you', "Dear {$person->name},\n\nsomething has been added to your account. It is the same account as before: sign in as you always do.\n");
                $done['changed']++;
            } else {
                $done['unchanged']++;
            }
        }
        foreach (array_chunk($log, 200) as $some) {
            DB::table('activities')->insert($some);
        }
        ($this->links)($welcome);
        $this->post->send($letters);
    }

    /**
     * @param  Collection<int, ImportRow>  $rows
     * @param  Collection<array-key, Person>  $people  by address
     * @param  Collection<int, Offer>  $offers
     * @param  array<string, int>  $done
     * @return array<int, true> people who got any
     */
    private function labels(Collection $rows, Collection $people, Collection $offers, string $file, array &$done): array
    {
        $has = [];
        foreach (Label::query()->whereIn('person_id', $people->pluck('id')->all())->get() as $label) {
            $has[$label->person_id][$label->label] = true;
        }
        $touched = $new = [];
        foreach ($rows as $row) {
            $person = $people->get($row->email);
            if ($person === null) {
                continue;
            }
            foreach ([...$row->labels, ...$offers->get($row->offer_id ?? 0)->labels ?? []] as $label) {
                if (! isset($has[$person->id][$label])) {
                    $has[$person->id][$label] = $touched[$person->id] = true;
                    $new[] = ['person_id' => $person->id, 'label' => $label, 'source' => mb_substr($file, 0, 200)];
                }
            }
        }
        foreach (array_chunk($new, 300) as $some) {
            Label::query()->insert($some);
        }
        $done['labels'] += count($new);

        return $touched;
    }

    /**
     * Nobody gets a pass twice that they hold from the same instant, or, where the file names none, that has not ended.
     *
     * @param  Collection<int, ImportRow>  $rows
     * @param  Collection<array-key, Person>  $people  by address
     * @param  Collection<int, Offer>  $offers
     * @param  array<string, int>  $done
     * @return array<int, true> people who got any
     */
    private function passes(Collection $rows, Collection $people, Collection $offers, ?Person $author, string $file, int $now, array &$done): array
    {
        $stamp = gmdate('Y-m-d H:i:s', $now);
        $held = [];
        foreach (Pass::query()->whereIn('person_id', $people->pluck('id')->all())->get() as $pass) {
            $held[$pass->person_id][$pass->offer_id][] = [$pass->starts_at->getTimestamp(), $pass->ends_at?->getTimestamp()];
        }
        // By offer and beginning, for those are made alike.
        $wanted = [];
        foreach ($rows as $row) {
            $person = $people->get($row->email);
            if ($person === null || $row->offer_id === null) {
                continue;
            }
            $starts = $row->starts_at?->getTimestamp();
            $has = array_filter($held[$person->id][$row->offer_id] ?? [], static fn (array $pass): bool => $starts !== null ? $pass[0] === $starts : $pass[1] === null || $pass[1] > $now);
            if ($has === []) {
                $held[$person->id][$row->offer_id][] = [$starts ?? $now, null];
                $wanted["{$row->offer_id} ".($starts ?? $now)][] = $person;
            }
        }
        $touched = $new = $log = [];
        foreach ($wanted as $what => $some) {
            [$offerId, $from] = array_map(intval(...), explode(' ', $what));
            $offer = $offers->get($offerId) ?? throw new NotReadable('An offer of the file is not there any more.');
            $columns = $this->newPasses->columnsForAll(new Collection($some), $offer, $from, false) ?? throw new NotReadable("What {$offer->name} opens is not published yet.");
            foreach ($some as $person) {
                $pass = $columns[$person->id];
                if ($pass === null) {
                    continue;
                }
                $touched[$person->id] = true;
                $stored = static fn (?int $instant): ?string => $instant === null ? null : gmdate('Y-m-d H:i:s', $instant);
                $new[] = [
                    'person_id' => $person->id, 'course_id' => $offer->course_id, 'offer_id' => $offer->id, 'state' => 'active', 'starts_at' => $stored($pass['starts_at']), 'ends_at' => $stored($pass['ends_at']),
                    'paced_from' => $stored($pass['paced_from']), 'source' => mb_substr("from {$file}", 0, 200), 'given_by' => $author?->id, 'created_at' => $stamp, 'updated_at' => $stamp,
                ];
                $log[] = [
                    'actor_id' => $author?->id, 'course_id' => $offer->course_id, 'person_id' => $person->id, 'action' => 'pass.given', 'happened_at' => $stamp,
                    'after' => json_encode(['offer' => $offer->key, 'from' => $stored($pass['starts_at']), 'until' => $stored($pass['ends_at']), 'by' => "from {$file}"], JSON_THROW_ON_ERROR),
                ];
            }
        }
        foreach (array_chunk($new, 100) as $some) {
            Pass::query()->insert($some);
        }
        foreach (array_chunk($log, 200) as $some) {
            DB::table('activities')->insert($some);
        }
        $done['passes'] += count($new);

        return $touched;
    }

    /**
     * @param  Collection<int, ImportRow>  $rows
     * @param  array<string, int>  $done
     */
    private function tie(Collection $rows, array &$done): void
    {
        $emails = $rows->pluck('email')->map(strval(...))->all();
        foreach ($rows as $row) {
            array_push($emails, ...$row->observes);
        }
        $ids = Person::query()->whereIn('email', array_values(array_unique($emails)))->pluck('id', 'email');
        $stamp = gmdate('Y-m-d H:i:s', $this->clock->now());
        $ties = [];
        foreach ($rows as $row) {
            foreach ($row->observes as $learner) {
                $observer = $ids->get($row->email);
                $observed = $ids->get($learner);
                if ($observer !== null && $observed !== null && $observer !== $observed) {
                    $ties[] = ['observer_id' => $observer, 'learner_id' => $observed, 'created_at' => $stamp, 'updated_at' => $stamp];
                }
            }
        }
        foreach (array_chunk($ties, 200) as $some) {
            $done['ties'] += ObserverTie::query()->insertOrIgnore($some);
        }
    }
}
