<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Access\SchoolClock;
use App\Words\Say;

/** Reads people from a CSV file, a row at a time. */
final readonly class CsvPeople
{
    /** What columns are often called. */
    private const GUESSES = [
        'name' => ['name', 'full name', 'person', 'learner', 'student'],
        'email' => ['email', 'e-mail', 'mail', 'e-mail address', 'email address'],
        'labels' => ['labels', 'label', 'tags', 'tag'],
        'offer' => ['offer', 'pass', 'product', 'course'],
        'start' => ['start', 'from', 'begins', 'start date', 'joined'],
        'observes' => ['observes', 'looks in on', 'observer of', 'parent of'],
    ];

    private const LONGEST = 100_000;

    /**
     * @param  array<string, ?int>  $columns  by field, from 0; null: the file has none
     * @param  array<string, string>  $offers  keys by lower-case key or name
     * @param  ?string  $offer  key, for rows that name none
     * @param  list<string>  $labels  for every row
     */
    public function __construct(private string $path, private string $separator, private array $columns, private array $offers, private ?string $offer, private array $labels, private SchoolClock $clock)
    {
    }

    /**
     * What separates the columns of a file, and its head.
     *
     * @return array{string, list<string>}
     */
    public static function look(string $path): array
    {
        $file = fopen($path, 'r') ?: throw new \RuntimeException('The file cannot be read.');
        $line = self::clean((string) fgets($file, self::LONGEST));
        fclose($file);
        $best = ',';
        foreach ([',', ';', "\t"] as $separator) {
            $best = substr_count($line, $separator) > substr_count($line, $best) ? $separator : $best;
        }

        return [$best, array_map(static fn (mixed $cell): string => trim((string) $cell), str_getcsv(rtrim($line, "\r\n"), $best, escape: ''))];
    }

    /**
     * @param  list<string>  $head
     * @return array<string, ?int> the column of each field, as far as its name tells
     */
    public static function guess(array $head): array
    {
        $columns = [];
        foreach (self::GUESSES as $field => $names) {
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
        $file = fopen($this->path, 'r') ?: throw new \RuntimeException('The file cannot be read.');
        if ($from === 0) {
            fgets($file, self::LONGEST);
            $line = 1;
        } else {
            fseek($file, $from);
        }
        while (($cells = fgetcsv($file, null, $this->separator, escape: '')) !== false) {
            $line++;
            if ($cells !== [null]) {
                yield (int) ftell($file) => $this->line($cells, $line);
            }
        }
        fclose($file);
    }

    /** @param  list<?string>  $cells */
    private function line(array $cells, int $line): PersonLine|WrongLine
    {
        $cell = fn (string $field): string => ($this->columns[$field] ?? null) === null ? '' : trim(self::clean((string) ($cells[$this->columns[$field]] ?? '')));
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
            return new WrongLine($line, Say::text('files.csv_people.bad_date', ['date' => $cell('start')]));
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
        if (preg_match('/^(\d{4}-\d{2}-\d{2})(?:[T ](\d{2}:\d{2})(?::\d{2})?)?$/D', $text, $found) !== 1) {
            return null;
        }

        return $this->clock->instant($found[1].'T'.($found[2] ?? '00:00'));
    }

    /** Without the mark that some programs put before a file, and in UTF-8. */
    private static function clean(string $text): string
    {
        $text = str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text;

        return mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
    }
}
