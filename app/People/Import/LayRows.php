<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Access\NewPasses;
use App\Access\SchoolClock;
use App\Models\Import;
use App\Models\ImportRow;
use App\Models\Label;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\People\Staged\Numbers;
use App\Words\Say;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Time\Instant;

/**
 * Lays down what rows of a file come to: who is new, and what each gets. Nobody is there by that, and nothing is anybody's yet.
 */
final readonly class LayRows
{
    public function __construct(private SchoolClock $clock, private NewPasses $newPasses, private Endings $endings)
    {
    }

    /**
     * @param  Collection<int, ImportRow>  $rows
     * @param  ?int  $upTo  the last of the rows, where they are the next ones of the file; null: they are laid down anew
     */
    public function lay(Import $import, Collection $rows, ?int $upTo): void
    {
        $people = $this->people($import, $rows);
        $labels = $this->labels($import, $rows, $people);
        $passes = $this->passes($import, $rows, $people);
        $endings = $this->endings->laid($import, $rows, $people);
        $ties = [];
        foreach ($rows as $row) {
            foreach ($row->observes as $learner) {
                if ($learner !== $row->email) {
                    $ties[] = ['import_id' => $import->id, 'observer' => $row->email, 'learner' => $learner];
                }
            }
        }
        DB::transaction(static function () use ($import, $people, $labels, $passes, $endings, $ties, $upTo): void {
            if ($upTo !== null && Import::query()->whereKey($import->id)->where('state', 'bringing in')->where('staged', $import->staged)->update(['staged' => $upTo]) !== 1) {
                // Another worker has laid down the same group.
                return;
            }
            foreach (['import_people' => array_column($people, 'row'), 'import_labels' => $labels, 'import_passes' => $passes, 'import_endings' => $endings, 'import_ties' => $ties] as $table => $columns) {
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
        $known = Person::query()->whereIn('email', $rows->pluck('email')->unique()->all())->get()->keyBy('email');
        $names = [];
        foreach ($rows as $row) {
            // Nobody comes in to lose something.
            if (! $row->takes || $known->has($row->email)) {
                $names[$row->email] ??= $row->name;
            }
        }
        $emails = array_map(strval(...), array_keys($names));
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
        $has = [];
        foreach (Label::query()->whereIn('person_id', array_map(static fn (array $one): int => $one['person']->id, array_values($people)))->get() as $label) {
            $has[$label->person_id][$label->label] = true;
        }
        $new = [];
        foreach ($rows as $row) {
            foreach ($row->labels as $label) {
                $person = $people[$row->email]['person'];
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
        $ids = array_map(static fn (array $one): int => $one['person']->id, array_values($people));
        [$held, $came] = self::heldBy($ids, $import);
        $wanted = $this->wanted($rows, $people, $held);
        $offers = $wanted === [] ? new Collection : Offer::query()->with('course.liveRevision')->get()->keyBy('id')->toBase();
        $new = [];
        foreach ($wanted as $what => $some) {
            [$offerId, $from, $ends] = array_map(intval(...), explode(' ', $what));
            $offer = $offers->get($offerId) ?? throw new NotReadable(Say::text('files.lay_rows.offer_file_not_there'));
            $columns = $this->newPasses->columnsForAll(new Collection($some), $offer, $from, pacesAnew: false) ?? throw new NotReadable(Say::text('files.lay_rows.what_name_opens_not', ['name' => $offer->name]));
            foreach ($some as $person) {
                if (($columns[$person->id] ?? null) !== null) {
                    // One line of the log says of somebody new that they have come, and with what.
                    $comes = ! $person->exists && ! isset($came[$person->id]);
                    $came[$person->id] = true;
                    $new[] = self::pass($import, $person, $offer, [...$columns[$person->id], 'ends_at' => self::sooner($columns[$person->id]['ends_at'], $ends)], $comes);
                }
            }
        }

        return $new;
    }

    /**
     * The beginnings and ends of what they hold already; what rows further up in the file give counts as well.
     *
     * @param  list<int>  $ids  of people
     * @return array{array<int, array<int, list<array{int, ?int}>>>, array<int, true>} by person and offer; and whom rows further up gave a pass
     */
    private static function heldBy(array $ids, Import $import): array
    {
        $held = $came = [];
        foreach (Pass::query()->whereIn('person_id', $ids)->get() as $pass) {
            $held[$pass->person_id][$pass->offer_id][] = [$pass->starts_at->getTimestamp(), $pass->ends_at?->getTimestamp()];
        }
        foreach (DB::table('import_passes')->where('import_id', $import->id)->whereIn('person_id', $ids)->get() as $pass) {
            assert(is_int($pass->person_id) && is_int($pass->offer_id) && is_string($pass->starts_at));
            $came[$pass->person_id] = true;
            $held[$pass->person_id][$pass->offer_id][] = [(int) strtotime("{$pass->starts_at} UTC"), is_string($pass->ends_at) ? (int) strtotime("{$pass->ends_at} UTC") : null];
        }

        return [$held, $came];
    }

    /**
     * @param  Collection<int, ImportRow>  $rows
     * @param  array<string, array{person: Person, row: ?array<string, mixed>}>  $people
     * @param  array<int, array<int, list<array{int, ?int}>>>  $held
     * @return array<string, list<Person>> by offer, beginning and end, for those are made alike
     */
    private function wanted(Collection $rows, array $people, array $held): array
    {
        $now = $this->clock->now();
        $wanted = [];
        foreach ($rows as $row) {
            if ($row->offer_id === null || $row->takes) {
                continue;
            }
            $person = $people[$row->email]['person'];
            $starts = $row->starts_at?->getTimestamp();
            if ($row->ends_at !== null && $row->ends_at->getTimestamp() <= ($starts ?? $now)) {
                continue;
            }
            $has = array_filter($held[$person->id][$row->offer_id] ?? [], static fn (array $pass): bool => $starts !== null ? $pass[0] === $starts : $pass[1] === null || $pass[1] > $now);
            if ($has === []) {
                $held[$person->id][$row->offer_id][] = [$starts ?? $now, null];
                $wanted["{$row->offer_id} ".($starts ?? $now).' '.($row->ends_at?->getTimestamp() ?? Instant::NEVER)][] = $person;
            }
        }

        return $wanted;
    }

    private static function sooner(?int $own, int $named): ?int
    {
        $ends = min($own ?? Instant::NEVER, $named);

        return $ends === Instant::NEVER ? null : $ends;
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
}
