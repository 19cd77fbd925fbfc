<?php

declare(strict_types=1);

namespace App\Access;

use Illuminate\Support\Facades\URL;

/**
 * Addresses that leave the page on which they are made: in letters, in calendars, to be passed on. They are those that the
 * school is configured to have, whatever the request that asked for them calls it.
 */
final class SchoolAddress
{
    /** @param  array<string, mixed>|string  $parameters */
    public static function of(string $route, array|string $parameters): string
    {
        $url = config('app.url');

        return rtrim(is_string($url) ? $url : '', '/').URL::route($route, $parameters, false);
    }
}
