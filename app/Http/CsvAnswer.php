<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\HttpFoundation\StreamedResponse;

/** Rows as a CSV file (RFC 4180), written as they come. */
final class CsvAnswer
{
    /** A spreadsheet program would take a cell that begins so for a formula. */
    private const FORMULA = '/^[=+\-@\t\r]/';

    /**
     * @param  iterable<mixed>  $rows  lists of texts
     * @param  string  $name  of the file
     * @param  bool  $marked  whether it begins with the mark by which spreadsheet programs know UTF-8
     */
    public static function of(iterable $rows, string $name, bool $marked = false): StreamedResponse
    {
        return new StreamedResponse(static function () use ($rows, $marked): void {
            $out = fopen('php://output', 'w') ?: throw new \RuntimeException('No output.');
            fwrite($out, $marked ? "\xEF\xBB\xBF" : '');
            foreach ($rows as $row) {
                assert(is_array($row));
                fputcsv($out, array_map(static fn (mixed $cell): string => is_string($cell) ? preg_replace(self::FORMULA, "'$0", $cell) ?? $cell : '', $row), escape: '', eol: "\r\n");
            }
            fclose($out);
        }, 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"{$name}\""]);
    }
}
