<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'file'),
    'lifetime' => (int) env('SESSION_LIFETIME', 720),
    'connection' => env('SESSION_CONNECTION'),
    'files' => env('SESSION_ROOT', storage_path('framework/sessions')),
    'encrypt' => true,
    'cookie' => 'silent_keep_session',
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'lax',
];
