<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Learning\Reading;
use App\Sightlines\Vantages\SeenFrom;

/** A learner's page as somebody has it put together who looks from where others do. */
final class ReadBy
{
    private function __construct()
    {
    }

    /** @param  string  $bearer  for whom addresses of media are made */
    public static function vantage(SeenFrom $seen, string $bearer): Reading
    {
        return new Reading($bearer, $seen->viewer->signedIn ? null : '', $seen->viewer->observes === null ? $seen->person : null, $seen->person?->id, real: false);
    }
}
