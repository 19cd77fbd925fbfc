<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Access\SchoolClock;
use App\Database\Value;
use App\Files\LocalCopies;
use App\Models\Import;
use App\Models\ImportRow;
use App\Models\Offer;
use App\Models\Person;
use App\People\Import\Roster\RosterPeople;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/**
 * Reads a file of people, in groups and in bounded memory, which can be left and gone on with. Nobody is brought in by that:
 * see {@see \App\People\Import\StagedImport}.
 */
final readonly class ReadPeopleFile
{
    private const GROUP = 500;

    /** Errors that are told; the others are counted. */
    private const ERRORS = 100;

    public function __construct(private SchoolClock $clock, private Endings $endings, private LocalCopies $files)
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
     * Has it read from the beginning, with what was said of its columns.
     *
     * @param  array<string, mixed>  $options
     *
     * @throws NotReadable if it is being brought in, or has been
     */
    public function from(Import $import, array $options): void
    {
        if ($import->kind === 'csv' && $options !== [] && ! is_numeric(((array) ($options['columns'] ?? []))['email'] ?? null)) {
            throw new NotReadable(Say::text('files.read_people_file.which_column'));
        }
        $begun = Import::query()->whereKey($import->id)->whereIn('state', ['new', 'reading', 'ready', 'refused'])->update([
            'options' => json_encode($options, JSON_THROW_ON_ERROR), 'state' => 'reading', 'position' => 0, 'rows' => 0, 'tally' => '[]', 'errors' => '[]', 'problem' => null,
        ]);
        if ($begun !== 1) {
            throw new NotReadable(Say::text('files.read_people_file.file_being_brought_in'));
        }
        // By its lines: what another worker may be reading still is not taken for this reading.
        $import->rows()->delete();
        $import->refresh();
    }

    /**
     * Reads on for about so long.
     *
     * @throws NotReadable
     */
    public function read(Import $import, float $seconds = 2.0): void
    {
        if ($import->state !== 'reading') {
            return;
        }
        if ($import->kind === 'oneroster') {
            // A bundle is read as a whole: it has no place at which to go on.
            $this->from($import, $import->options);
        }
        $start = hrtime(true);
        $group = [];
        // What was read last is always among the rows: they are written together with how far that is.
        foreach ($this->lines($import, Value::int(ImportRow::query()->where('import_id', $import->id)->max('line'))) as $at => $one) {
            $group[$at] = $one;
            if (count($group) >= self::GROUP) {
                if (! $this->keep($import, $group, last: false)) {
                    return;
                }
                $group = [];
                if ($import->kind === 'csv' && (hrtime(true) - $start) / 1e9 > $seconds) {
                    return;
                }
            }
        }
        $this->keep($import, $group, last: true);
    }

    /**
     * @param  array<int, PersonLine|EndingLine|WrongLine|PassedLine>  $group  by the byte after each
     * @return bool false: somebody else reads it, or has it read anew
     */
    private function keep(Import $import, array $group, bool $last): bool
    {
        $tally = $import->tally;
        $of = static fn (string $kind): array => array_values(array_filter($group, static fn (PersonLine|EndingLine|WrongLine|PassedLine $one): bool => $one instanceof $kind));
        /** @var list<WrongLine> $wrong */
        $wrong = $of(WrongLine::class);
        /** @var list<EndingLine> $ending */
        $ending = $of(EndingLine::class);
        [$endings, $unmoved, $ends] = $this->endings->rows($import, $ending);
        /** @var list<PassedLine> $passed */
        $passed = [...$of(PassedLine::class), ...$unmoved];
        /** @var list<PersonLine> $people */
        $people = $of(PersonLine::class);
        $rows = [...$endings, ...$this->rows($import, $people, $tally)];
        foreach (['ends' => $ends, 'wrong' => count($wrong), 'passed' => count($passed)] as $outcome => $count) {
            if ($count > 0) {
                $tally[$outcome] = ($tally[$outcome] ?? 0) + $count;
            }
        }
        $read = $import->rows + count($group);
        $told = static fn (WrongLine|PassedLine $one): array => ['line' => $one->line, 'message' => $one->message, ...($one instanceof PassedLine ? ['passed' => true] : [])];
        $errors = array_slice([...$import->errors, ...array_map($told, [...$wrong, ...$passed])], 0, self::ERRORS);

        $mine = DB::transaction(static function () use ($import, $group, $last, $tally, $rows, $read, $errors): bool {
            $mine = Import::query()->whereKey($import->id)->where('state', 'reading')->where('rows', $import->rows)->update([
                'position' => array_key_last($group) ?? $import->position, 'rows' => $read, 'tally' => json_encode($tally, JSON_THROW_ON_ERROR), 'errors' => json_encode($errors, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                'state' => $last ? (($tally['wrong'] ?? 0) > 0 || $read === 0 ? 'refused' : 'ready') : 'reading',
            ]);
            foreach ($mine === 1 ? array_chunk($rows, 200) : [] as $some) {
                ImportRow::query()->insert($some);
            }

            return $mine === 1;
        });
        $import->refresh();

        return $mine;
    }

    /**
     * The rows of a CSV file that cannot be brought in, as they stand in it, each with its number and the reason before; the first is the
     * head.
     *
     * @return \Generator<int, list<string>>
     */
    public function refused(Import $import): \Generator
    {
        [, $head] = CsvPeople::look($this->files->path($import->path));
        yield [Say::text('files.read_people_file.line'), Say::text('files.read_people_file.why'), ...$head];
        foreach ($this->lines($import, 0, fromTheBeginning: true) as $one) {
            if ($one instanceof WrongLine) {
                yield [(string) $one->line, $one->message, ...$one->cells];
            }
        }
    }

    /** @return \Generator<int, PersonLine|EndingLine|WrongLine|PassedLine> */
    private function lines(Import $import, int $line, bool $fromTheBeginning = false): \Generator
    {
        $options = $import->options;
        $labels = array_values(array_filter((array) ($options['labels'] ?? []), is_string(...)));
        $path = $this->files->path($import->path);
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

        return (new CsvPeople($path, $separator, $columns, $offers, $default, $labels, $this->clock, in_array($options['dates'] ?? null, [TypedDates::DAY_FIRST, TypedDates::MONTH_FIRST], true) ? $options['dates'] : null))->read($fromTheBeginning ? 0 : $import->position, $line);
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
     * @return list<array<string, mixed>> columns
     */
    private function rows(Import $import, array $lines, array &$tally): array
    {
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
                'starts_at' => $line->starts === null ? null : gmdate('Y-m-d H:i:s', $line->starts), 'ends_at' => $line->ends === null ? null : gmdate('Y-m-d H:i:s', $line->ends), 'takes' => false, 'observes' => json_encode($line->observes, JSON_THROW_ON_ERROR),
            ];
        }

        return $rows;
    }
}
