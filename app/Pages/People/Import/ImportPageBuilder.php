<?php

declare(strict_types=1);

namespace App\Pages\People\Import;

use App\Access\CourseShelf;
use App\Access\SchoolClock;
use App\Models\Import;
use App\Models\ImportRow;
use App\Models\Offer;
use App\Models\Person;
use App\People\Import\CsvPeople;
use App\People\Import\NotReadable;
use App\People\Import\RosterPeople;
use App\People\Import\TypedDates;
use App\Words\Formats;
use App\Words\Say;
use Illuminate\Support\Facades\Storage;

/** Puts together what is seen of files of people. */
final readonly class ImportPageBuilder
{
    private const ROWS = 100;

    /** Outcomes of which there are words. */
    private const OUTCOMES = ['new', 'known', 'twice', 'wrong', 'passed', 'changed', 'unchanged', 'passes', 'labels', 'ties'];

    public function __construct(private SchoolClock $clock, private CourseShelf $shelf)
    {
    }

    public function page(): ImportsPage
    {
        $imports = [];
        foreach (Import::query()->orderByDesc('id')->limit(20)->get() as $import) {
            $imports[] = new ImportLine($import->id, $import->name, $this->clock->words($import->made_at->getTimestamp()), $import->state, implode(', ', self::outcomes($import)));
        }

        return new ImportsPage($this->shelf->offers(), $imports);
    }

    /** @throws NotReadable */
    public function import(Import $import): ImportPage
    {
        $head = $keys = [];
        $columns = [];
        if ($import->path !== '' && Storage::exists($import->path)) {
            if ($import->kind === 'csv') {
                [, $head] = CsvPeople::look(Storage::path($import->path));
                $columns = CsvPeople::guess($head);
            } else {
                $classes = RosterPeople::classes(Storage::path($import->path));
                [$keys, $head] = [array_map(strval(...), array_keys($classes)), array_values($classes)];
            }
        }
        foreach ((array) ($import->options['columns'] ?? []) as $field => $column) {
            $columns[(string) $field] = is_numeric($column) ? (int) $column : null;
        }

        return new ImportPage(
            $import->id, $import->kind, $import->name, $import->state, $import->rows - ($import->tally['passed'] ?? 0), $head, $keys, $columns,
            is_string($import->options['offer'] ?? null) ? $import->options['offer'] : '',
            $this->ambiguous($import, $columns['start'] ?? null),
            $import->problem, $this->rows($import), self::outcomes($import),
            self::told($import, passed: false),
            self::told($import, passed: true),
            $this->shelf->offers(),
        );
    }

    /** @return list<string> */
    private static function told(Import $import, bool $passed): array
    {
        return array_map(static fn (array $error): string => Say::text('files.import_page_builder.line_line_message', ['line' => $error['line'], 'message' => $error['message']]), array_values(array_filter($import->errors, static fn (array $error): bool => ($error['passed'] ?? false) === $passed)));
    }

    private function ambiguous(Import $import, ?int $column): ?AmbiguousDate
    {
        $text = $import->kind === 'csv' && $import->path !== '' && Storage::exists($import->path) ? CsvPeople::ambiguousDate(Storage::path($import->path), $column) : null;
        $told = fn (string $order): string => $this->clock->words($this->clock->instant((string) TypedDates::wall((string) $text, $order)) ?? 0);

        return $text === null ? null : new AmbiguousDate($text, $told(TypedDates::DAY_FIRST), $told(TypedDates::MONTH_FIRST), is_string($import->options['dates'] ?? null) ? $import->options['dates'] : null);
    }

    public function progress(Import $import): ImportProgress
    {
        return new ImportProgress($import->state, $import->rows, $import->rows()->where('id', '<=', $import->staged)->count());
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

    private static function given(mixed $offer, ?string $from): string
    {
        $name = is_string($offer) ? $offer : '';

        return $from === null ? $name : Say::text('files.import_page_builder.offer_from', ['offer' => $name, 'when' => $from]);
    }

    /** @return list<ImportOutcome> */
    private function rows(Import $import): array
    {
        $rows = ImportRow::query()->where('import_id', $import->id)->orderBy('id')->limit(self::ROWS)->get();
        $known = Person::query()->whereIn('email', $rows->pluck('email')->all())->pluck('name', 'email');
        $offers = Offer::query()->pluck('name', 'id');
        $seen = $told = [];
        foreach ($rows as $row) {
            $name = $known->get($row->email);
            $gets = array_filter([
                $row->offer_id === null ? '' : self::given($offers->get($row->offer_id), $row->starts_at === null ? null : $this->clock->words($row->starts_at->getTimestamp())),
                $row->labels === [] ? '' : Say::text('files.import_page_builder.labels', ['labels' => implode(', ', $row->labels)]),
                $row->observes === [] ? '' : Say::text('files.import_page_builder.looks_in_on', ['people' => implode(', ', $row->observes)]),
            ], static fn (string $part): bool => $part !== '');
            $told[] = new ImportOutcome($row->line, $row->name, $row->email, match (true) {
                isset($seen[$row->email]) => Say::text('files.import_page_builder.once_more'),
                is_string($name) => $name === $row->name ? Say::text('files.import_page_builder.known') : Say::text('files.import_page_builder.known_as_name_who', ['name' => $name]),
                default => Say::text('files.import_page_builder.new'),
            }, implode('; ', $gets));
            $seen[$row->email] = true;
        }

        return $told;
    }
}
