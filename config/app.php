<?php

declare(strict_types=1);

// Only what differs from the framework's own defaults stands in these files.
return [
    'name' => 'Silent Keep',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8000'),
    'key' => env('APP_KEY'),
    'clock_ahead' => (int) env('CLOCK_AHEAD', 0),

    'timezone' => 'UTC',
];
