<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Filesystem\LocalFilesystemAdapter;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * A file of the school as an answer, or the part of it that is asked for, wherever it lies: it goes through us, so that whoever may
 * not see it any more has no address under which it is still to be had.
 */
final class ServedFile
{
    /** Bytes that are in memory at once. */
    private const PIECE = 1 << 16;

    private function __construct()
    {
    }

    /**
     * @param  array<string, string>  $headers
     *
     * @throws \Symfony\Component\HttpKernel\Exception\NotFoundHttpException if it is not there
     */
    public static function answer(Request $request, string $stored, array $headers): Response
    {
        abort_if(! Storage::exists($stored), 404);
        $disk = Storage::disk();
        if ($disk instanceof LocalFilesystemAdapter) {
            return new BinaryFileResponse($disk->path($stored), 200, $headers, public: false);
        }
        $size = $disk->size($stored);
        $changed = gmdate('D, d M Y H:i:s', $disk->lastModified($stored)).' GMT';
        $headers += ['Last-Modified' => $changed, 'Accept-Ranges' => 'bytes'];
        $range = self::range($request, $size, $changed);
        if ($range === []) {
            return new Response('', 416, ['Content-Range' => "bytes */{$size}", ...$headers]);
        }
        [$first, $last] = $range ?? [0, $size - 1];
        $response = new StreamedResponse(static fn () => self::send($stored, $first, $last - $first + 1), $range === null ? 200 : 206, ['Content-Length' => (string) ($last - $first + 1), ...$headers]);
        if ($range !== null) {
            $response->headers->set('Content-Range', "bytes {$first}-{$last}/{$size}");
        }

        return $response;
    }

    /** @return array{int, int}|array{}|null the first and the last byte; empty: there are none such; null: all of it */
    private static function range(Request $request, int $size, string $changed): ?array
    {
        $asked = (string) $request->headers->get('Range');
        $if = $request->headers->get('If-Range');
        if (! $request->isMethod('GET') || ($if !== null && $if !== $changed) || preg_match('/^bytes=(\d*)-(\d*)$/', $asked, $parts) !== 1 || $parts[1].$parts[2] === '') {
            return null;
        }
        $first = $parts[1] === '' ? max(0, $size - (int) $parts[2]) : (int) $parts[1];
        $last = $parts[1] === '' || $parts[2] === '' ? $size - 1 : min((int) $parts[2], $size - 1);

        return $first > $last ? [] : [$first, $last];
    }

    private static function send(string $stored, int $skip, int $length): void
    {
        $stream = Storage::readStream($stored);
        if ($stream === null) {
            return;
        }
        // What comes over a network cannot be wound on: it is read, and left.
        if ($skip > 0 && (! stream_get_meta_data($stream)['seekable'] || fseek($stream, $skip) !== 0)) {
            for ($left = $skip; $left > 0 && ! feof($stream); $left -= strlen((string) fread($stream, max(1, min(self::PIECE, $left))))) {
                continue;
            }
        }
        for ($left = $length; $left > 0 && ! feof($stream); $left -= strlen($piece)) {
            $piece = (string) fread($stream, max(1, min(self::PIECE, $left)));
            echo $piece;
        }
        fclose($stream);
    }
}
