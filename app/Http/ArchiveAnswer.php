<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** A ZIP file that was made for one answer, and is gone after it. */
final class ArchiveAnswer
{
    public static function of(string $path, string $name): BinaryFileResponse
    {
        $answer = new BinaryFileResponse($path, 200, ['Content-Type' => 'application/zip', 'Cache-Control' => 'no-store, private', 'Content-Disposition' => "attachment; filename=\"{$name}\""], public: false, autoEtag: false, autoLastModified: false);

        return $answer->deleteFileAfterSend();
    }
}
