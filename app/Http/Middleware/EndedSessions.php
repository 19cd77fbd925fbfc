<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Person;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Sessions that were ended elsewhere are over here: the person has been given another key since. */
final class EndedSessions
{
    /** In the session: the key under which it began. */
    public const KEY = 'session_key';

    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->user();
        $session = $request->session();
        if ($person instanceof Person && $session->get(self::KEY, '') !== ($person->getAttributes()['session_key'] ?? '')) {
            Auth::guard('web')->logout();
            $session->invalidate();
            $session->regenerateToken();
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
