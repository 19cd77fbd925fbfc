<?php

declare(strict_types=1);

namespace App\Http;

/** The names that this school answers to: that of its configured address, and others that are named beside it. */
final class TrustedHosts
{
    /** @return list<string> patterns */
    public static function patterns(): array
    {
        $url = config('app.url');
        $own = parse_url(is_string($url) ? $url : '', PHP_URL_HOST);
        $more = config('app.hosts');
        $hosts = array_values(array_filter([is_string($own) ? $own : '', ...(is_array($more) ? $more : [])], static fn (mixed $host): bool => is_string($host) && $host !== ''));
        if (in_array($own, ['127.0.0.1', 'localhost'], true)) {
            // Whoever tries it out on their own machine may call it by either name.
            array_push($hosts, '127.0.0.1', 'localhost');
        }

        return array_map(static fn (string $host): string => '^'.preg_quote($host).'$', $hosts);
    }
}
