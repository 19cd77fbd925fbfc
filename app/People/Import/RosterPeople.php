<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Access\SchoolClock;
use App\Words\Say;

/**
 * Reads people from a OneRoster 1.1 CSV bundle: users, the classes they are enrolled in as students, and guardians, who
 * come as agents of students and look in on them.
 */
final class RosterPeople
{
    private const GUARDIANS = ['guardian', 'parent', 'relative'];

    /** Of one file in the bundle, unpacked. */
    private const MOST = 200_000_000;

    /** Of one line. */
    private const LONGEST = 100_000;

    /**
     * @param  array<string, string>  $offers  offer keys by the sourcedId of a class; classes without one are passed over
     * @param  list<string>  $labels  for everybody
     */
    public function __construct(private readonly string $path, private readonly array $offers, private readonly array $labels, private readonly SchoolClock $clock)
    {
    }

    /**
     * @param  int  $most  bytes of one file in the bundle, unpacked
     * @return array<string, string> titles of the classes by sourcedId
     *
     * @throws NotReadable
     */
    public static function classes(string $path, int $most = self::MOST): array
    {
        $classes = [];
        foreach (self::rows(self::open($path, $most), 'classes.csv', $most) as $row) {
            if (self::isThere($row)) {
                $classes[$row['sourcedId'] ?? ''] = $row['title'] ?? '';
            }
        }

        return $classes;
    }

    /**
     * @return \Generator<int, PersonLine|WrongLine> by row
     *
     * @throws NotReadable
     */
    public function read(): \Generator
    {
        $zip = self::open($this->path);
        $enrolled = [];
        foreach (self::rows($zip, 'enrollments.csv') as $row) {
            $offer = $this->offers[$row['classSourcedId'] ?? ''] ?? null;
            if (self::isThere($row) && ($row['role'] ?? '') === 'student' && $offer !== null) {
                $enrolled[$row['userSourcedId'] ?? ''][] = [$offer, $row['beginDate'] ?? ''];
            }
        }
        // Guardians are named by their wards, who may stand before or after them.
        $emails = $wards = [];
        foreach (self::rows($zip, 'users.csv') as $row) {
            $email = mb_strtolower(trim($row['email'] ?? ''));
            $emails[$row['sourcedId'] ?? ''] = $email;
            foreach (self::isThere($row) && ($row['role'] ?? '') === 'student' ? self::listed($row['agentSourcedIds'] ?? '') : [] as $agent) {
                $wards[$agent][] = $email;
            }
        }
        $number = 0;
        foreach (self::rows($zip, 'users.csv') as $line => $row) {
            if (! self::isThere($row)) {
                continue;
            }
            foreach ($this->lines($row, $line, $enrolled[$row['sourcedId'] ?? ''] ?? [], $wards[$row['sourcedId'] ?? ''] ?? []) as $one) {
                yield ++$number => $one;
            }
        }
    }

    /**
     * @param  array<string, string>  $row
     * @param  list<array{string, string}>  $enrolled  offers and beginnings
     * @param  list<string>  $wards
     * @return list<PersonLine|WrongLine>
     */
    private function lines(array $row, int $line, array $enrolled, array $wards): array
    {
        $role = $row['role'] ?? '';
        $guards = in_array($role, self::GUARDIANS, true);
        if (($role !== 'student' || $enrolled === []) && ! ($guards && $wards !== [])) {
            // Teachers, and whoever is enrolled in nothing that is brought in.
            return [];
        }
        $email = mb_strtolower(trim($row['email'] ?? ''));
        if (filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
            return [new WrongLine($line, Say::text('files.roster_people.no_address', ['id' => $row['sourcedId'] ?? '']))];
        }
        $name = trim(($row['givenName'] ?? '').' '.($row['familyName'] ?? ''));
        $name = $name === '' ? $email : $name;
        if ($guards) {
            return [new PersonLine($line, $email, $name, $this->labels, observes: array_values(array_unique(array_filter($wards, static fn (string $ward): bool => $ward !== ''))))];
        }
        $lines = [];
        foreach ($enrolled as [$offer, $begin]) {
            $starts = $begin === '' ? null : $this->clock->instant(substr($begin, 0, 10).'T00:00');
            $lines[] = $begin !== '' && $starts === null
                ? new WrongLine($line, Say::text('files.roster_people.enrollments_csv_begin_not', ['begin' => $begin]))
                : new PersonLine($line, $email, $name, $this->labels, $offer, $starts);
        }

        return $lines;
    }

    /** @throws NotReadable */
    private static function open(string $path, int $most = self::MOST): \ZipArchive
    {
        $zip = new \ZipArchive;
        if ($zip->open($path, \ZipArchive::RDONLY) !== true) {
            throw new NotReadable(Say::text('files.roster_people.not_zip_file'));
        }
        foreach (['users.csv', 'classes.csv', 'enrollments.csv'] as $name) {
            $found = $zip->statName($name);
            if ($found === false) {
                throw new NotReadable(Say::text('files.roster_people.bundle_has_no_name', ['name' => $name]));
            }
            if ($found['size'] > $most) {
                throw new NotReadable(Say::text('files.roster_people.name_is_too_large', ['name' => $name]));
            }
        }

        return $zip;
    }

    /** @return \Generator<int, array<string, string>> by line */
    private static function rows(\ZipArchive $zip, string $name, int $most = self::MOST): \Generator
    {
        $stream = $zip->getStream($name);
        if ($stream === false) {
            throw new NotReadable(Say::text('files.roster_people.name_cannot_be_read', ['name' => $name]));
        }
        $head = null;
        // What the bundle says of its sizes need not be so: what comes out is counted.
        $read = 0;
        for ($line = 1; ($text = self::line($stream)) !== null; $line++) {
            $read += strlen($text);
            if ($read > $most || strlen($text) >= self::LONGEST) {
                throw new NotReadable(Say::text('files.roster_people.name_too_large_or', ['name' => $name]));
            }
            $cells = str_getcsv(rtrim($text, "\r\n"), ',', escape: '');
            if ($cells === [null]) {
                continue;
            }
            $cells = array_map(static fn (?string $cell): string => trim((string) $cell, " \u{FEFF}"), $cells);
            if ($head === null) {
                $head = $cells;
            } else {
                $row = [];
                foreach ($head as $index => $column) {
                    $row[$column] = $cells[$index] ?? '';
                }
                yield $line => $row;
            }
        }
        fclose($stream);
    }

    /**
     * A line of the file, with the line breaks that stand in quoted cells; null at the end.
     *
     * @param  resource  $stream
     */
    private static function line($stream): ?string
    {
        $text = '';
        $quotes = 0;
        do {
            $next = fgets($stream, max(2, self::LONGEST - strlen($text) + 1));
            $text .= $next === false ? '' : $next;
            $quotes += $next === false ? 0 : substr_count($next, '"');
        } while ($next !== false && $quotes % 2 === 1 && strlen($text) < self::LONGEST);

        return $text === '' ? null : $text;
    }

    /** @param  array<string, string>  $row  whose status is given in files of changes only */
    private static function isThere(array $row): bool
    {
        return ($row['status'] ?? '') !== 'tobedeleted';
    }

    /** @return list<string> */
    private static function listed(string $cell): array
    {
        return array_values(array_filter(array_map(trim(...), explode(',', $cell)), static fn (string $one): bool => $one !== ''));
    }
}
