<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Http\Api\Document\Operation;
use App\Http\Api\Middleware\NeedsAbility;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Pages\Api\TokenTold;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use SilentKeep\Core\Time\Instant;

/** The token with which something is asked: whether it holds, and what it may. */
final readonly class TokenController
{
    #[Operation('What the token may, and until when', answers: TokenTold::class)]
    public function show(Request $request): JsonResponse
    {
        $token = NeedsAbility::token($request) ?? throw new Problem(ProblemKind::NoToken);

        return new JsonResponse(new TokenTold($token->name, $token->abilities, $token->expires_at === null ? null : Instant::format($token->expires_at->getTimestamp())), 200, ['Cache-Control' => 'no-store, private']);
    }
}
