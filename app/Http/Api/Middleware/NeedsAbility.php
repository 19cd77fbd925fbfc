<?php

declare(strict_types=1);

namespace App\Http\Api\Middleware;

use App\Access\WhoLooks;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Models\ApiToken;
use App\Models\Role;
use App\School\Tokens\Ability;
use App\Words\Say;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Symfony\Component\HttpFoundation\Response;

/**
 * Whether the token may. Before anything that it names is looked up: whoever may not learns nothing of what is there. A token is
 * worth as much as whoever made it: once they do not run the school any more it opens nothing.
 */
final readonly class NeedsAbility
{
    public const NAME = 'may';

    public function handle(Request $request, Closure $next, string $ability): Response
    {
        $token = self::token($request);
        if ($token === null || WhoLooks::signedIn($request)->role !== Role::Administrator || ! $token->can($ability)) {
            throw new Problem(ProblemKind::NotAllowed, Say::text('interface.problems_told.ability', ['ability' => $ability]));
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }

    public static function token(Request $request): ?ApiToken
    {
        $token = WhoLooks::person($request)?->currentAccessToken();

        return $token instanceof ApiToken ? $token : null;
    }

    /** Null: it needs no token. */
    public static function of(Route $route): ?Ability
    {
        foreach ($route->gatherMiddleware() as $middleware) {
            if (is_string($middleware) && str_starts_with($middleware, self::NAME.':')) {
                return Ability::from(substr($middleware, strlen(self::NAME) + 1));
            }
        }

        return null;
    }
}
