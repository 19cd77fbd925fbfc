<?php

declare(strict_types=1);

namespace App\Http;

use App\Access\SchoolOf;
use App\Database\Busy;
use App\Database\DiskFull;
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
    /** A link for guests that leads nowhere, or not any more. */
    public const GUEST_LINK = 'guest link';

    /** What a guest looks for, and is not to find. */
    public const HIDDEN_FROM_GUESTS = 'guest hidden';

    /** Why, where there are words of its own for it. */
    private const REASONS = [NotBegun::WHY, self::GUEST_LINK, self::HIDDEN_FROM_GUESTS];

    public static function respond(Response $response, Throwable $exception, Request $request): Response
    {
        $status = $response->getStatusCode();
        $busy = $status === 500 && Busy::was($exception);
        if ($busy) {
            // Nothing was done; in a moment it can be.
            $response->setStatusCode($status = 503)->headers->set('Retry-After', '5');
        }
        $full = $status === 500 && DiskFull::was($exception);
        if ($full) {
            $response->setStatusCode($status = Response::HTTP_INSUFFICIENT_STORAGE);
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

        $said = $exception instanceof HttpException ? $exception->getMessage() : '';

        return self::page($request, $status, match (true) {
            $busy => 'busy',
            $full => 'full',
            default => in_array($said, self::REASONS, true) ? $said : null,
        });
    }

    private static function page(Request $request, int $status, ?string $why): Response
    {
        try {
            $page = Inertia::render('Error', ['status' => $status, 'why' => $why, 'contact' => $why === self::GUEST_LINK || $why === self::HIDDEN_FROM_GUESTS ? self::contact() : null])->toResponse($request)->setStatusCode($status);
        } catch (Throwable $e) {
            // A page asks the database for a thing or two, too.
            report($e);
            $why = $why === 'full' ? 'full' : 'busy';
            $page = response()->view('bare', ['heading' => Say::text("learn.error.{$why}"), 'text' => Say::text("learn.error.{$why}_text")], $why === 'full' ? $status : 503);
        }
        if ($why === 'busy') {
            $page->headers->set('Retry-After', '5');
        }

        return $page;
    }

    /** @return ?array{name: string, email: string} whom to ask */
    private static function contact(): ?array
    {
        $school = app(SchoolOf::class)->begun();

        return $school?->contact_name === null || $school->contact_email === null ? null : ['name' => $school->contact_name, 'email' => $school->contact_email];
    }
}
