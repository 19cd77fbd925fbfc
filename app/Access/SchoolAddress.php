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
        return self::root().URL::route($route, $parameters, false);
    }

    /**
     * One that nobody can make but us; it holds for good.
     *
     * @param  array<string, mixed>  $parameters
     */
    public static function signed(string $route, array $parameters): string
    {
        return self::root().URL::signedRoute($route, $parameters, absolute: false);
    }

    /** Without a stroke at its end. */
    public static function root(): string
    {
        $url = config('app.url');

        return rtrim(is_string($url) ? $url : '', '/');
    }
}
