<?php

declare(strict_types=1);

namespace App\Http\Api\Middleware;

use App\Access\SchoolClock;
use App\Database\OneWriter;
use App\Models\ApiToken;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/** Notes when a token was last used: seldom, and only where nobody else is writing. Nothing waits for it, or fails with it. */
final readonly class NoteTokenUse
{
    private const SECONDS = 600;

    public function __construct(private SchoolClock $clock)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $token = NeedsAbility::token($request);
        $now = $this->clock->now();
        $connection = DB::connection();
        if ($token !== null && ($token->last_used_at?->getTimestamp() ?? 0) < $now - self::SECONDS && $connection instanceof OneWriter && $connection->transactionLevel() === 0) {
            $connection->atOnceOrNot(static function () use ($token, $now): void {
                ApiToken::query()->toBase()->where('id', $token->id)->update(['last_used_at' => gmdate('Y-m-d H:i:s', $now)]);
            });
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
