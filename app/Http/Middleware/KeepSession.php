<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * What a page asks beside its visits reads the session and writes nothing to it: it would take away what an act has just told the
 * next page, with its way back, or write over it what it had read before.
 */
final class KeepSession extends StartSession
{
    /** @param  Request  $request */
    protected function saveSession($request): void
    {
        if (! $request->expectsJson() || $request->header('X-Inertia') !== null) {
            parent::saveSession($request);
        }
    }
}
