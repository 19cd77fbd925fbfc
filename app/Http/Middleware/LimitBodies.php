<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Words\Say;
use Closure;
use Illuminate\Http\Request;
use SilentKeep\Core\Format\PlanReader;
use Symfony\Component\HttpFoundation\Response;

/** What is sent is small, but where files are put in. */
final class LimitBodies
{
    /** Bytes. */
    private const MOST = 1_048_576;

    /** Addresses at which files are put in; how large those may be is said where they are checked. */
    private const FILES = ['keep/people/imports', 'keep/courses/plan-file', 'keep/courses/*/contents/*/media', 'keep/pictures', 'api/v1/imports', 'api/v1/cartridges'];

    /** Addresses at which plan documents are put in. */
    private const PLANS = ['api/v1/courses', 'api/v1/courses/*/draft', 'api/v1/plans/check'];

    public function handle(Request $request, Closure $next): Response
    {
        $most = $request->is(...self::PLANS) ? PlanReader::LARGEST : self::MOST;
        if (! $request->is(...self::FILES) && self::bytes($request) > $most) {
            abort(413, Say::text('refused.too_much'));
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }

    /** What it says of itself, or, where it says nothing, what it is. */
    private static function bytes(Request $request): int
    {
        $said = $request->headers->get('Content-Length');

        return is_numeric($said) ? (int) $said : ($request->isMethodSafe() ? 0 : strlen($request->getContent()));
    }
}
