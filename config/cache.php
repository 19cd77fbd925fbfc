<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        'file' => ['driver' => 'file', 'path' => env('CACHE_ROOT', storage_path('framework/cache/data')), 'lock_path' => env('CACHE_ROOT', storage_path('framework/cache/data'))],
        'redis' => ['driver' => 'redis', 'connection' => 'default', 'lock_connection' => 'default'],
        // Redis while it is there, and what this machine keeps while it is not.
        'shared' => ['driver' => 'failover', 'stores' => ['redis', 'file']],
        'array' => ['driver' => 'array', 'serialize' => true],
    ],
];
