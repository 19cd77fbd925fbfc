<?php

declare(strict_types=1);

namespace App\Privacy\Erasing;

use App\Words\Say;

/** What somebody is called and written to once they are erased. */
final class Nobody
{
    private function __construct()
    {
    }

    public static function name(int $id): string
    {
        return Say::text('privacy_told.somebody', ['number' => (string) $id]);
    }

    /** Under a name of RFC 2606 that is nobody's, ever. */
    public static function address(int $id): string
    {
        return "erased-{$id}@erased.invalid";
    }
}
