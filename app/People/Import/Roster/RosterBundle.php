<?php

declare(strict_types=1);

namespace App\People\Import\Roster;

use App\People\Import\NotReadable;
use App\People\Import\PlainCsv;
use App\Words\Say;

/**
 * The files of a OneRoster 1.1 CSV bundle, at its top or in a folder of it, in whichever order of columns, encoding and separator they
 * are, as its manifest says which of them are there.
 */
final class RosterBundle
{
    private const VERSION = '1.1';

    private const FILES = ['users', 'classes', 'enrollments'];

    /** Of one line. */
    private const LONGEST = 100_000;

    private const PART = 1 << 20;

    private \ZipArchive $zip;

    /** In which folder of the archive they stand; empty: at its top. */
    private string $folder;

    /** @var array<string, string> bulk, delta or absent, by file; bulk where the manifest says nothing */
    private array $modes = [];

    /**
     * @param  int  $most  bytes of one file, unpacked
     *
     * @throws NotReadable
     */
    public function __construct(string $path, private readonly int $most)
    {
        $this->zip = new \ZipArchive;
        if ($this->zip->open($path, \ZipArchive::RDONLY) !== true) {
            throw new NotReadable(Say::text('files.roster_people.not_zip_file'));
        }
        $this->folder = $this->folder();
        $this->readManifest();
        foreach (self::FILES as $file) {
            $found = $this->zip->statName($this->folder."{$file}.csv");
            if ($found === false && $this->modes[$file] !== 'absent') {
                throw new NotReadable(Say::text('files.roster_people.bundle_has_no_name', ['name' => "{$file}.csv"]));
            }
            if ($found !== false && $found['size'] > $most) {
                throw new NotReadable(Say::text('files.roster_people.name_is_too_large', ['name' => "{$file}.csv"]));
            }
        }
    }

    /**
     * @param  string  $file  users, classes or enrollments
     * @return \Generator<int, array<string, string>> by line of the file
     *
     * @throws NotReadable
     */
    public function rows(string $file): \Generator
    {
        if ($this->modes[$file] === 'absent') {
            return;
        }
        yield from $this->rowsOf("{$file}.csv");
    }

    /** The folder in which the file of users stands: where several do, the one nearest to the top. */
    private function folder(): string
    {
        $folders = [];
        for ($index = 0; $index < $this->zip->numFiles; $index++) {
            $name = (string) $this->zip->getNameIndex($index);
            if (basename($name) === 'users.csv' && ! str_starts_with($name, '__MACOSX/')) {
                $folders[] = substr($name, 0, -strlen('users.csv'));
            }
        }
        usort($folders, static fn (string $one, string $other): int => strlen($one) <=> strlen($other));

        return $folders[0] ?? '';
    }

    private function readManifest(): void
    {
        $told = [];
        foreach ($this->zip->statName($this->folder.'manifest.csv') === false ? [] : $this->rowsOf('manifest.csv') as $row) {
            $told[mb_strtolower($row['propertyname'] ?? '')] = trim($row['value'] ?? '');
        }
        $version = $told['oneroster.version'] ?? self::VERSION;
        if ($version !== self::VERSION) {
            throw new NotReadable(Say::text('files.roster_people.other_version', ['version' => $version]));
        }
        foreach (self::FILES as $file) {
            $this->modes[$file] = mb_strtolower($told["file.{$file}"] ?? 'bulk');
        }
    }

    /** @return \Generator<int, array<string, string>> by line, the columns by their names in small letters */
    private function rowsOf(string $name): \Generator
    {
        $path = $this->unpacked($name);
        try {
            PlainCsv::settle($path);
            [$stream, $separator, $head, $line] = PlainCsv::open($path);
            $head = array_map(mb_strtolower(...), $head);
            while (($text = self::line($stream)) !== null) {
                $line++;
                if (strlen($text) >= self::LONGEST) {
                    throw new NotReadable(Say::text('files.roster_people.name_too_large_or', ['name' => $name]));
                }
                $cells = array_map(static fn (?string $cell): string => trim(PlainCsv::clean((string) $cell)), str_getcsv(rtrim($text, "\r\n"), $separator, escape: ''));
                if (implode('', $cells) !== '') {
                    $row = [];
                    foreach ($head as $index => $column) {
                        $row[$column] = $cells[$index] ?? '';
                    }
                    yield $line => $row;
                }
            }
            fclose($stream);
        } finally {
            unlink($path);
        }
    }

    /** In a file of its own. What the bundle says of sizes need not be so: what comes out is counted. */
    private function unpacked(string $name): string
    {
        $stream = $this->zip->getStream($this->folder.$name);
        if ($stream === false) {
            throw new NotReadable(Say::text('files.roster_people.name_cannot_be_read', ['name' => $name]));
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'roster');
        $file = fopen($path, 'w') ?: throw new \RuntimeException('The file cannot be written.');
        for ($read = 0; ! feof($stream);) {
            $part = (string) fread($stream, self::PART);
            $read += strlen($part);
            if ($read > $this->most) {
                fclose($file);
                unlink($path);
                throw new NotReadable(Say::text('files.roster_people.name_is_too_large', ['name' => $name]));
            }
            fwrite($file, $part);
        }
        fclose($file);
        fclose($stream);

        return $path;
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
}
