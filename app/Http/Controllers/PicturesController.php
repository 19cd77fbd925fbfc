<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Picture;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Pictures of the school's public pages: whoever has an address sees it, and no address can be guessed. */
final readonly class PicturesController
{
    public function show(string $token, int $width): BinaryFileResponse
    {
        $path = Picture::path($token, $width);
        abort_if(! Storage::exists($path), 404);

        return new BinaryFileResponse(Storage::path($path), 200, [
            'Content-Type' => 'image/webp',
            'Content-Security-Policy' => "default-src 'none'; sandbox",
            'Cross-Origin-Resource-Policy' => 'same-origin',
            'Cache-Control' => 'public, max-age=31536000, immutable',
        ]);
    }
}
