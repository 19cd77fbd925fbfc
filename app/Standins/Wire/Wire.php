<?php

declare(strict_types=1);

namespace App\Standins\Wire;

use Illuminate\Http\Client\ConnectionException;
use Illuminate\Support\Facades\Http;

/** The way to systems of others: Laravel's HTTP client, which tests put a stand-in for. */
final class Wire
{
    /** Seconds that are waited for an answer. */
    private const PATIENCE = 10;

    /** Characters of an answer that are kept. */
    private const KEPT = 1000;

    /**
     * @param  array<string, string>  $headers
     * @return ?WireAnswer null where there was none in time
     */
    public function post(string $address, array $headers, string $body, string $type): ?WireAnswer
    {
        try {
            // Whoever is told must not send us on to somewhere else, such as into a network that only we can reach.
            $response = Http::timeout(self::PATIENCE)->connectTimeout(self::PATIENCE)->withoutRedirecting()->withHeaders($headers)->withBody($body, $type)->post($address);
        } catch (ConnectionException) {
            return null;
        }

        return new WireAnswer($response->status(), mb_substr(mb_scrub($response->body()), 0, self::KEPT));
    }
}
