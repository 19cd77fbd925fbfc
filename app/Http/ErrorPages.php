<?php

declare(strict_types=1);

namespace App\Http;

use App\Database\WaitingConnection;
use App\Http\Middleware\NotBegun;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Throwable;

/** Errors in the frame of the application; what is hidden looks exactly like what is not there. */
final class ErrorPages
{
    public static function respond(Response $response, Throwable $exception, Request $request): Response
    {
        $status = $response->getStatusCode();
        $busy = $status === 500 && WaitingConnection::wasBusy($exception);
        if ($busy) {
            // Nothing was done; in a moment it can be.
            $response->setStatusCode($status = 503)->headers->set('Retry-After', '5');
        }
        if ($status === 405 && $request->isMethodSafe()) {
            // Something can be sent there, but there is nothing to be seen.
            $status = 404;
        }
        if ($status < 400 || $request->is('api/*') || $request->wantsJson() || ($status >= 500 && config('app.debug') === true)) {
            return $response;
        }
        if ($status === 419) {
            return back()->with(Flash::refused(Say::text('learner.asked.too_long_open')));
        }

        $why = $busy ? 'busy' : ($exception instanceof HttpException && $exception->getMessage() === NotBegun::WHY ? NotBegun::WHY : null);
        $page = Inertia::render('Error', ['status' => $status, 'why' => $why])->toResponse($request)->setStatusCode($status);
        if ($busy) {
            $page->headers->set('Retry-After', '5');
        }

        return $page;
    }
}
