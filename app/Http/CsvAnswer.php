<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\CsvForm;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Rows as a CSV file (RFC 4180), written as they come. */
final class CsvAnswer
{
    /**
     * @param  iterable<mixed>  $rows  lists of texts
     * @param  string  $name  of the file
     * @param  bool  $marked  whether it begins with the mark by which spreadsheet programs know UTF-8, where whoever gets it has not said
     * @param  ?CsvForm  $form  as whoever gets it has said; null: they have not
     */
    public static function of(iterable $rows, string $name, bool $marked = false, ?CsvForm $form = null): StreamedResponse
    {
        return new StreamedResponse(static function () use ($rows, $marked, $form): void {
            $out = fopen('php://output', 'w') ?: throw new \RuntimeException('No output.');
            fwrite($out, ($form === null ? $marked : $form->isMarked()) ? "\xEF\xBB\xBF" : '');
            self::write($out, $rows, $form?->separator() ?? ',');
            fclose($out);
        }, 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"{$name}\""]);
    }

    /** @param  list<list<string>>  $rows  a few */
    public static function text(array $rows): string
    {
        $stream = fopen('php://memory', 'w+') ?: throw new \RuntimeException('No memory for a file.');
        self::write($stream, $rows, ',');
        rewind($stream);

        return (string) stream_get_contents($stream);
    }

    /**
     * @param  resource  $out
     * @param  iterable<mixed>  $rows
     */
    private static function write($out, iterable $rows, string $separator): void
    {
        foreach ($rows as $row) {
            assert(is_array($row));
            fputcsv($out, array_map(static fn (mixed $cell): string => is_string($cell) ? CsvForm::cell($cell) : '', $row), $separator, escape: '', eol: "\r\n");
        }
    }
}
