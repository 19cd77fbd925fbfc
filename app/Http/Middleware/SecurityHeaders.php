<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** On every answer, errors too. */
final class SecurityHeaders
{
    /**
     * Scripts only from our own files; styles also inline, as the component library sets them on elements; recordings also
     * such as the page itself holds, whose length is measured before they are sent.
     */
    private const POLICY = "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; media-src 'self' blob:; font-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'self'";

    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        assert($response instanceof Response);
        // What is served as a file brings a stricter one of its own.
        $response->headers->set('Content-Security-Policy', $response->headers->get('Content-Security-Policy') ?? self::POLICY);
        $response->headers->add([
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'same-origin',
            'Permissions-Policy' => 'camera=(), geolocation=(), microphone=(), payment=(), usb=()',
        ]);
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', 'max-age=31536000');
        }
        if (! headers_sent()) {
            // Which PHP it is is nobody's business.
            header_remove('X-Powered-By');
        }
        // What somebody saw who is signed in is not shown again once they have signed out.
        if ($request->user() !== null && ! $response->headers->hasCacheControlDirective('max-age')) {
            $response->headers->set('Cache-Control', 'no-store, private');
        }

        return $response;
    }
}
