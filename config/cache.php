<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        'file' => ['driver' => 'file', 'path' => env('CACHE_ROOT', storage_path('framework/cache/data')), 'lock_path' => env('CACHE_ROOT', storage_path('framework/cache/data'))],
        'array' => ['driver' => 'array', 'serialize' => true],
    ],
];
