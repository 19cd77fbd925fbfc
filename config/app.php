<?php

declare(strict_types=1);

// Only what differs from the framework's own defaults stands in these files.
return [
    'name' => 'Silent Keep',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8000'),
    // Beside the host of `url`, names that the school answers to, divided by commas.
    'hosts' => explode(',', (string) env('TRUSTED_HOSTS', '')),
    // Addresses of proxies whose `X-Forwarded-*` is believed, divided by commas; nobody's where none is named.
    'proxies' => array_values(array_filter(explode(',', (string) env('TRUSTED_PROXIES', '')))),
    'key' => env('APP_KEY'),
    'clock_ahead' => (int) env('CLOCK_AHEAD', 0),

    'timezone' => 'UTC',
];
