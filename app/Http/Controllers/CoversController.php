<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Front\Drawing;
use App\Front\DrawnCover;
use Illuminate\Http\Response;

/** Covers that are drawn: an address says what is drawn, and nothing of whose cover it is. */
final readonly class CoversController
{
    public function show(Drawing $drawing, int $variant): Response
    {
        abort_if($variant >= DrawnCover::VARIANTS, 404);

        return new Response((new DrawnCover($drawing, $variant))->svg(), 200, [
            'Content-Type' => 'image/svg+xml',
            'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; sandbox",
            'Cross-Origin-Resource-Policy' => 'same-origin',
            'Cache-Control' => 'public, max-age=31536000, immutable',
        ]);
    }
}
