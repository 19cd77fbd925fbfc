<?php

declare(strict_types=1);

namespace App\Pages\People\Import;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Database\Value;
use App\Files\LocalCopies;
use App\Models\Import;
use App\Models\ImportRow;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\People\Import\Back\TakeImportBack;
use App\People\Import\Back\WhatGoesBack;
use App\People\Import\CsvPeople;
use App\People\Import\Endings;
use App\People\Import\GivenByFiles;
use App\People\Import\NotReadable;
use App\People\Import\Roster\RosterPeople;
use App\People\Import\TypedDates;
use App\Words\Formats;
use App\Words\Say;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Puts together what is seen of files of people. */
final readonly class ImportPageBuilder
{
    private const ROWS = 100;

    /** Outcomes of which there are words. */
    private const OUTCOMES = ['new', 'known', 'twice', 'wrong', 'ends', 'passed', 'changed', 'unchanged', 'passes', 'labels', 'ended', 'ties', 'back_passes', 'back_labels', 'back_endings', 'back_ties', 'back_people', 'back_stay'];

    public function __construct(private SchoolClock $clock, private CourseShelf $shelf, private LocalCopies $files)
    {
    }

    public function page(): ImportsPage
    {
        $imports = [];
        foreach (Import::query()->orderByDesc('id')->limit(20)->get() as $import) {
            $imports[] = new ImportLine($import->id, $import->name, $this->clock->words($import->made_at->getTimestamp()), self::state($import), in_array($import->state, ['new', 'reading', 'ready', 'refused'], true), implode(', ', self::outcomes($import)));
        }

        return new ImportsPage($this->shelf->offers(), $imports);
    }

    private static function state(Import $import): string
    {
        return Say::text('files.states.'.self::stands($import));
    }

    /** It is taken back once those are gone as well who go. */
    private static function stands(Import $import): string
    {
        return $import->state === 'taken back' && DB::table('import_people')->where('import_id', $import->id)->exists() ? 'taking back' : $import->state;
    }

    /** What would go and what would stay if it were taken back. */
    public function back(Import $import): ImportBack
    {
        $counts = WhatGoesBack::find($import);
        $counts['stay'] = WhatGoesBack::stay($counts);
        $told = static fn (array $what): array => array_values(array_map(static fn (string $one): string => Say::text("files.take_back.{$one}", ['count' => $counts[$one]]), array_filter($what, static fn (string $one): bool => $counts[$one] > 0)));

        return new ImportBack($told(['passes', 'labels', 'endings', 'ties', 'people']), $told(['stay', 'people_stay']));
    }

    /** @throws NotReadable */
    public function import(Import $import): ImportPage
    {
        $head = $keys = [];
        $columns = [];
        if ($import->path !== '' && Storage::exists($import->path)) {
            if ($import->kind === 'csv') {
                [, $head] = CsvPeople::look($this->files->path($import->path));
                $columns = CsvPeople::guess($head);
            } else {
                $classes = RosterPeople::classes($this->files->path($import->path));
                [$keys, $head] = [array_map(strval(...), array_keys($classes)), array_values($classes)];
            }
        }
        foreach ((array) ($import->options['columns'] ?? []) as $field => $column) {
            $columns[(string) $field] = is_numeric($column) ? (int) $column : null;
        }

        return new ImportPage(
            $import->id, $import->kind, $import->name, self::stands($import), $import->rows - ($import->tally['passed'] ?? 0), $head, $keys, $columns,
            is_string($import->options['offer'] ?? null) ? $import->options['offer'] : '',
            $this->ambiguous($import, $columns['start'] ?? null),
            $import->problem, $this->rows($import), self::outcomes($import),
            self::told($import, passed: false),
            self::told($import, passed: true),
            $this->shelf->offers(),
            TakeImportBack::isPossible($import) ? TakeImportBack::DAYS : null,
            ($import->options['endings'] ?? null) === Endings::LEFT,
            (object) array_filter((array) ($import->options['classes'] ?? []), is_string(...)),
            implode(', ', array_filter((array) ($import->options['labels'] ?? []), is_string(...))),
        );
    }

    /** @return list<string> */
    private static function told(Import $import, bool $passed): array
    {
        return array_map(static fn (array $error): string => Say::text('files.import_page_builder.line_line_message', ['line' => $error['line'], 'message' => $error['message']]), array_values(array_filter($import->errors, static fn (array $error): bool => ($error['passed'] ?? false) === $passed)));
    }

    private function ambiguous(Import $import, ?int $column): ?AmbiguousDate
    {
        $text = $import->kind === 'csv' && $import->path !== '' && Storage::exists($import->path) ? CsvPeople::ambiguousDate($this->files->path($import->path), $column) : null;
        $told = fn (string $order): string => $this->clock->words($this->clock->instant((string) TypedDates::wall((string) $text, $order)) ?? 0);

        return $text === null ? null : new AmbiguousDate($text, $told(TypedDates::DAY_FIRST), $told(TypedDates::MONTH_FIRST), is_string($import->options['dates'] ?? null) ? $import->options['dates'] : null);
    }

    public function progress(Import $import): ImportProgress
    {
        return new ImportProgress(self::stands($import), $import->rows, $import->rows()->where('id', '<=', $import->staged)->count());
    }

    /** @return list<string> */
    private static function outcomes(Import $import): array
    {
        $words = [];
        foreach ($import->tally as $outcome => $count) {
            if ($count > 0) {
                $words[] = in_array($outcome, self::OUTCOMES, true) ? Say::text("files.outcomes.{$outcome}", ['count' => $count]) : Formats::count($count)." {$outcome}";
            }
        }

        return $words;
    }

    /** @param  list<Pass>  $held  of that offer, which files gave */
    private function given(ImportRow $row, string $offer, array $held): string
    {
        $ends = $row->ends_at?->getTimestamp();
        if ($row->takes) {
            return Say::text('files.import_page_builder.ends', ['offer' => $offer]);
        }
        foreach ($held as $pass) {
            $has = $pass->ends_at?->getTimestamp();
            if ($ends !== null && $has !== $ends) {
                $was = $has === null ? Say::text('files.import_page_builder.for_good') : $this->clock->words($has);

                return Say::text(GivenByFiles::endsLater($pass, $ends) ? 'files.import_page_builder.ends_sooner' : 'files.import_page_builder.ends_as_it_is', ['offer' => $offer, 'when' => $this->clock->words($ends), 'was' => $was]);
            }
        }
        $told = $row->starts_at === null ? $offer : Say::text('files.import_page_builder.offer_from', ['offer' => $offer, 'when' => $this->clock->words($row->starts_at->getTimestamp())]);

        return $ends === null ? $told : Say::text('files.import_page_builder.until', ['offer' => $told, 'when' => $this->clock->words($ends)]);
    }

    /** @return list<ImportOutcome> */
    private function rows(Import $import): array
    {
        $rows = ImportRow::query()->where('import_id', $import->id)->orderByDesc('takes')->orderBy('id')->limit(self::ROWS)->get();
        $known = Person::query()->whereIn('email', $rows->pluck('email')->all())->get(['id', 'name', 'email'])->keyBy('email');
        $given = GivenByFiles::to(Value::ints($known->pluck('id')), $this->clock->now());
        $offers = Offer::query()->pluck('name', 'id');
        $seen = $told = [];
        foreach ($rows as $row) {
            $person = $known->get($row->email);
            $offer = $offers->get($row->offer_id);
            $gets = array_filter([
                $row->offer_id === null ? '' : $this->given($row, is_string($offer) ? $offer : '', $given[$person->id ?? 0][$row->offer_id] ?? []),
                $row->labels === [] ? '' : Say::text('files.import_page_builder.labels', ['labels' => implode(', ', $row->labels)]),
                $row->observes === [] ? '' : Say::text('files.import_page_builder.looks_in_on', ['people' => implode(', ', $row->observes)]),
            ], static fn (string $part): bool => $part !== '');
            $told[] = new ImportOutcome($row->line, $row->name, $row->email, match (true) {
                isset($seen[$row->email]) => Say::text('files.import_page_builder.once_more'),
                $person !== null => $person->name === $row->name ? Say::text('files.import_page_builder.known') : Say::text('files.import_page_builder.known_as_name_who', ['name' => $person->name]),
                default => Say::text('files.import_page_builder.new'),
            }, implode('; ', $gets));
            $seen[$row->email] = true;
        }

        return $told;
    }
}
