<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Access\SchoolClock;
use App\Learning\PassingNotes;
use App\Models\Person;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Notes when somebody who is signed in was last here. */
final readonly class NoteSeen
{
    public function __construct(private SchoolClock $clock, private PassingNotes $notes)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->user();
        if ($person instanceof Person) {
            $now = $this->clock->now();
            // Often enough to say when somebody was last here, seldom enough not to write with every page.
            if ($person->seen_at === null || $person->seen_at->getTimestamp() < $now - 600) {
                $this->notes->seen($person->id, $now);
            }
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
