<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Access\WhoLooks;
use App\Database\Hand;
use App\Http\Api\Middleware\NeedsAbility;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Tells the ledger who is at the other end of a request, and what they came for. */
final readonly class SaysWhoWrites
{
    public function __construct(private Hand $hand)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $token = NeedsAbility::token($request);
        $person = WhoLooks::person($request);
        $this->hand->is(match (true) {
            $token !== null => "token {$token->id}",
            $person !== null => "person {$person->id}",
            default => 'visitor',
        }, $request->route()?->getName() ?? '');
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
