<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Keep\People\PeopleDesk;
use App\Keep\SchoolClock;
use App\Models\Person;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Notes when somebody who is signed in was last here. */
final readonly class NoteSeen
{
    public function __construct(private SchoolClock $clock)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->user();
        if ($person instanceof Person) {
            PeopleDesk::touchSeen($person, $this->clock->now());
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
