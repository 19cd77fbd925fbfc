<?php

declare(strict_types=1);

namespace App\Models;

/** What divides the columns of CSV files, and whether the files begin with the mark by which spreadsheet programs know UTF-8. */
enum CsvForm: string
{
    case Comma = 'comma';
    case CommaMarked = 'comma-marked';
    case Semicolon = 'semicolon';
    case SemicolonMarked = 'semicolon-marked';

    /** A spreadsheet program would take a cell that begins so for a formula. */
    private const FORMULA = '/^[=+\-@\t\r]/';

    /** A cell that is read as the text it is, whatever it begins with. */
    public static function cell(string $text): string
    {
        return preg_replace(self::FORMULA, "'$0", $text) ?? $text;
    }

    public function separator(): string
    {
        return $this === self::Comma || $this === self::CommaMarked ? ',' : ';';
    }

    public function isMarked(): bool
    {
        return $this === self::CommaMarked || $this === self::SemicolonMarked;
    }

    /**
     * Writes rows as CSV has them (RFC 4180), with commas where whoever gets them has not said.
     *
     * @param  resource  $out
     * @param  iterable<mixed>  $rows  lists of texts
     */
    public static function write($out, iterable $rows, ?self $form = null): void
    {
        foreach ($rows as $row) {
            assert(is_array($row));
            fputcsv($out, array_map(static fn (mixed $cell): string => is_string($cell) ? self::cell($cell) : '', $row), $form?->separator() ?? ',', escape: '', eol: "\r\n");
        }
    }

    /** @param  iterable<mixed>  $rows  lists of texts, a few thousand */
    public static function text(iterable $rows, ?self $form = null): string
    {
        $stream = fopen('php://memory', 'w+') ?: throw new \RuntimeException('No memory for a file.');
        self::write($stream, $rows, $form);
        rewind($stream);

        return (string) stream_get_contents($stream);
    }
}
