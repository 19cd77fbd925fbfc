<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Side;
use App\Words\ReaderZone;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Reads which zone the reader's clock shows, of pages of the school's side; those who run the school read its own. */
final readonly class TheirZone
{
    /** Written by the page itself (resources/js/lib/time.ts). */
    public const COOKIE = 'zone';

    public function __construct(private ReaderZone $zone)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $told = $request->cookie(self::COOKIE);
        $this->zone->read(is_string($told) && Side::of($request) === Side::School && ! $request->routeIs('keep.*') ? $told : null);

        return $next($request);
    }
}
