<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\ServedFile;
use App\Models\Picture;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Pictures of the school's public pages: whoever has an address sees it, and no address can be guessed. */
final readonly class PicturesController
{
    public function show(Request $request, string $token, int $width): Response
    {
        return ServedFile::answer($request, Picture::path($token, $width), [
            'Content-Type' => 'image/webp',
            'Content-Security-Policy' => "default-src 'none'; sandbox",
            'Cross-Origin-Resource-Policy' => 'same-origin',
            'Cache-Control' => 'public, max-age=31536000, immutable',
        ]);
    }
}
