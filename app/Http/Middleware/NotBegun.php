<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Access\SchoolOf;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A school that was not told its name and zone yet has one page alone: that which asks for them. */
final readonly class NotBegun
{
    /** What its page says: nobody need wait for it. */
    public const WHY = 'not begun';

    public function __construct(private SchoolOf $school)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        abort_unless($this->school->begun() !== null || $request->is('begin'), 503, self::WHY);
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
