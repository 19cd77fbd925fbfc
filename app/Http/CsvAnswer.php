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
            CsvForm::write($out, $rows, $form);
            fclose($out);
        }, 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"{$name}\""]);
    }

    /**
     * One that is made already.
     *
     * @param  iterable<string>  $parts
     * @param  int  $bytes  of all of them: what breaks off is known by it
     */
    public static function made(iterable $parts, int $bytes, string $name): StreamedResponse
    {
        return new StreamedResponse(static function () use ($parts): void {
            foreach ($parts as $part) {
                echo $part;
                flush();
            }
        }, 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Length' => (string) $bytes, 'Content-Disposition' => "attachment; filename=\"{$name}\"", 'Cache-Control' => 'no-store, private']);
    }
}
