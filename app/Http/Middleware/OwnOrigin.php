<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Going back never leads away: where a request was sent from another site, nothing is known of where it came from. */
final class OwnOrigin
{
    public function handle(Request $request, Closure $next): Response
    {
        $from = $request->headers->get('Referer');
        if ($from !== null && $from !== $request->getSchemeAndHttpHost() && ! str_starts_with($from, $request->getSchemeAndHttpHost().'/')) {
            $request->headers->remove('Referer');
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
