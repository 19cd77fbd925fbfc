<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * Sends what is text compressed to whoever takes it so. That a page holds both what was asked for and what is secret tells nothing by
 * its length to others: their pages cannot have a reader's browser ask with the reader's cookie (SameSite, `OwnOrigin`).
 */
final class CompressAnswers
{
    /** Bytes below which it is not worth it. */
    private const LEAST = 1024;

    private const TEXT = '#^(?:text/|application/(?:json|xml|manifest\+json|problem\+json|javascript)|image/svg\+xml)#';

    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        assert($response instanceof Response);
        if ($response instanceof BinaryFileResponse || $response instanceof StreamedResponse || preg_match(self::TEXT, $response->headers->get('Content-Type') ?? '') !== 1) {
            return $response;
        }
        $response->setVary('Accept-Encoding', false);
        $content = $response->getContent();
        if ($content === false || strlen($content) < self::LEAST || $response->headers->has('Content-Encoding') || ! in_array('gzip', $request->getEncodings(), true)) {
            return $response;
        }
        $small = gzencode($content, 6);
        if ($small !== false) {
            $response->setContent($small);
            $response->headers->add(['Content-Encoding' => 'gzip', 'Content-Length' => (string) strlen($small)]);
        }

        return $response;
    }
}
