<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Access\SchoolClock;
use App\Words\Say;

/** Reads people from a CSV file, a row at a time. */
final readonly class CsvPeople
{
    private const ROWS_LOOKED_AT = 200;

    /**
     * @param  array<string, ?int>  $columns  by field, from 0; null: the file has none
     * @param  array<string, string>  $offers  keys by lower-case key or name
     * @param  ?string  $offer  key, for rows that name none
     * @param  list<string>  $labels  for every row
     * @param  ?string  $dates  which comes first in dates that could be two days; null: nobody has said
     */
    public function __construct(private string $path, private string $separator, private array $columns, private array $offers, private ?string $offer, private array $labels, private SchoolClock $clock, private ?string $dates = null)
    {
    }

    /**
     * What separates the columns of a file, and its head.
     *
     * @return array{string, list<string>}
     */
    public static function look(string $path): array
    {
        [$file, $separator, $head] = PlainCsv::open($path);
        fclose($file);

        return [$separator, $head];
    }

    /** The first of its dates that could be two days; null: none of the first rows has one. */
    public static function ambiguousDate(string $path, ?int $column): ?string
    {
        if ($column === null) {
            return null;
        }
        [$file, $separator] = PlainCsv::open($path);
        for ($row = 0; $row < self::ROWS_LOOKED_AT && ($cells = fgetcsv($file, null, $separator, escape: '')) !== false; $row++) {
            $text = trim(PlainCsv::clean((string) ($cells[$column] ?? '')));
            if ($text !== '' && TypedDates::isAmbiguous($text)) {
                fclose($file);

                return $text;
            }
        }
        fclose($file);

        return null;
    }

    /**
     * @param  list<string>  $head
     * @return array<string, ?int> the column of each field, as far as its name tells
     */
    public static function guess(array $head): array
    {
        $columns = [];
        foreach (ColumnNames::USUAL as $field => $names) {
            $columns[$field] = null;
            foreach ($head as $index => $cell) {
                if ($columns[$field] === null && in_array(mb_strtolower($cell), $names, true)) {
                    $columns[$field] = $index;
                }
            }
        }

        return $columns;
    }

    /**
     * @param  int  $from  byte at which to go on; 0: at the beginning
     * @return \Generator<int, PersonLine|WrongLine> by the byte after each
     */
    public function read(int $from, int $line): \Generator
    {
        [$file, , , $head] = PlainCsv::open($this->path);
        if ($from === 0) {
            $line = $head;
        } else {
            fseek($file, $from);
        }
        while (($cells = fgetcsv($file, null, $this->separator, escape: '')) !== false) {
            $line++;
            // A row of empty cells is none, and neither is an empty line.
            if (trim(implode('', array_map(strval(...), $cells))) !== '') {
                $one = $this->line($cells, $line);
                yield (int) ftell($file) => $one instanceof WrongLine ? new WrongLine($line, $one->message, array_map(static fn (?string $cell): string => PlainCsv::clean((string) $cell), $cells)) : $one;
            }
        }
        fclose($file);
    }

    /** @param  list<?string>  $cells */
    private function line(array $cells, int $line): PersonLine|WrongLine
    {
        $cell = fn (string $field): string => ($this->columns[$field] ?? null) === null ? '' : trim(PlainCsv::clean((string) ($cells[$this->columns[$field]] ?? '')));
        $email = mb_strtolower($cell('email'));
        if ($email === '') {
            return new WrongLine($line, Say::text('files.csv_people.no_address'));
        }
        if (filter_var($email, FILTER_VALIDATE_EMAIL) === false || mb_strlen($email) > 190) {
            return new WrongLine($line, Say::text('files.csv_people.bad_address', ['address' => $email]));
        }
        $offer = $this->offer;
        if ($cell('offer') !== '') {
            $offer = $this->offers[mb_strtolower($cell('offer'))] ?? null;
            if ($offer === null) {
                return new WrongLine($line, Say::text('files.csv_people.no_offer', ['offer' => $cell('offer')]));
            }
        }
        $starts = $cell('start') === '' ? null : $this->instant($cell('start'));
        if ($cell('start') !== '' && $starts === null) {
            return new WrongLine($line, Say::text($this->dates === null && TypedDates::isAmbiguous($cell('start')) ? 'files.csv_people.two_dates' : 'files.csv_people.bad_date', ['date' => $cell('start')]));
        }
        $labels = array_values(array_filter(array_map(trim(...), preg_split('/[,;|]/', $cell('labels')) ?: []), static fn (string $label): bool => $label !== ''));
        foreach ($labels as $label) {
            if (mb_strlen($label) > 60) {
                return new WrongLine($line, Say::text('files.csv_people.long_label', ['label' => $label]));
            }
        }
        $observes = array_values(array_filter(array_map(static fn (string $one): string => mb_strtolower(trim($one)), preg_split('/[,;|]/', $cell('observes')) ?: []), static fn (string $one): bool => $one !== ''));
        foreach ($observes as $learner) {
            if (filter_var($learner, FILTER_VALIDATE_EMAIL) === false) {
                return new WrongLine($line, Say::text('files.csv_people.bad_learner', ['address' => $learner]));
            }
        }
        $name = $cell('name') === '' ? ucfirst(strstr($email, '@', true) ?: $email) : $cell('name');

        return new PersonLine($line, $email, mb_substr($name, 0, 200), array_values(array_unique([...$this->labels, ...$labels])), $offer, $starts, $observes);
    }

    /** A day begins at midnight by the school's clock. */
    private function instant(string $text): ?int
    {
        $wall = TypedDates::wall($text, $this->dates);

        return $wall === null ? null : $this->clock->instant($wall);
    }
}
