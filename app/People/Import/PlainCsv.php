<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Words\Say;

/** A CSV file as programs write it: in which letters, with what before its head, and what divides its columns. */
final class PlainCsv
{
    /** Beginnings of files in other encodings than UTF-8 and Windows-1252. */
    private const MARKS = ["\xFF\xFE\x00\x00" => 'UTF-32LE', "\x00\x00\xFE\xFF" => 'UTF-32BE', "\xFF\xFE" => 'UTF-16LE', "\xFE\xFF" => 'UTF-16BE'];

    private const LONGEST = 100_000;

    private const PART = 1 << 20;

    private function __construct()
    {
    }

    /**
     * Puts a file into UTF-8 where it is in UTF-16 or UTF-32, in bounded memory. Windows-1252 is read as it is, cell by cell.
     *
     * @throws NotReadable if it is no text
     */
    public static function settle(string $path): void
    {
        $file = self::opened($path);
        $begins = (string) fread($file, 64);
        [$encoding, $mark] = self::encodingOf($begins);
        if ($encoding === null) {
            fclose($file);
            if (str_contains($begins, "\0")) {
                throw new NotReadable(Say::text('files.plain_csv.no_text'));
            }

            return;
        }
        fseek($file, $mark);
        stream_filter_append($file, "convert.iconv.{$encoding}/UTF-8", STREAM_FILTER_READ);
        $settled = fopen("{$path}.settled", 'w') ?: throw new \RuntimeException('The file cannot be written.');
        while (! feof($file)) {
            $part = @fread($file, self::PART);
            if ($part === false || ! self::isText($part)) {
                unlink("{$path}.settled");
                throw new NotReadable(Say::text('files.plain_csv.no_text'));
            }
            fwrite($settled, $part);
        }
        fclose($file);
        fclose($settled);
        rename("{$path}.settled", $path);
    }

    private static function isText(string $part): bool
    {
        return ! str_contains($part, "\0");
    }

    /** @return array{?string, int} null: UTF-8, or Windows-1252; and how long its mark is */
    private static function encodingOf(string $begins): array
    {
        foreach (self::MARKS as $mark => $encoding) {
            if (str_starts_with($begins, (string) $mark)) {
                return [$encoding, strlen((string) $mark)];
            }
        }

        // Without a mark: every other byte of Latin letters is zero.
        return match (1) {
            preg_match('/^(?:[^\0]\0){4}/s', $begins) => ['UTF-16LE', 0],
            preg_match('/^(?:\0[^\0]){4}/s', $begins) => ['UTF-16BE', 0],
            default => [null, 0],
        };
    }

    /**
     * At its head: past empty lines, and past a line that says what divides the columns.
     *
     * @return array{resource, string, list<string>, int} the file after its head, what divides the columns, the head, and in which row it stands
     */
    public static function open(string $path): array
    {
        $file = self::opened($path);
        $separator = null;
        $row = 0;
        do {
            $at = (int) ftell($file);
            $text = fgets($file, self::LONGEST);
            $line = trim(self::clean((string) $text));
            $row++;
            $named = preg_match('/^sep=(.)$/iD', $line, $found) === 1 || preg_match('/^sep=(\t)/i', self::clean((string) $text), $found) === 1;
            $separator = $named ? $found[1] : $separator;
        } while ($text !== false && ($named || trim($line, ",;\t\"") === ''));
        fseek($file, $at);
        $separator ??= self::divides(self::clean((string) $text));
        $head = fgetcsv($file, self::LONGEST, $separator, escape: '');

        return [$file, $separator, array_map(static fn (?string $cell): string => trim((string) preg_replace('/\s+/u', ' ', self::clean((string) $cell))), is_array($head) && $head !== [null] ? $head : []), $row];
    }

    /** Outside of quotes. */
    private static function divides(string $line): string
    {
        $bare = (string) preg_replace('/"(?:[^"]|"")*"?/', '', $line);
        $best = ',';
        foreach ([',', ';', "\t"] as $separator) {
            $best = substr_count($bare, $separator) > substr_count($bare, $best) ? $separator : $best;
        }

        return $best;
    }

    /** Without the mark that some programs put before a file, and in UTF-8. */
    public static function clean(string $text): string
    {
        $text = str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text;

        return mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
    }

    /** @return resource */
    private static function opened(string $path)
    {
        return fopen($path, 'r') ?: throw new \RuntimeException('The file cannot be read.');
    }
}
