<?php

declare(strict_types=1);

$pgsql = [
    'driver' => 'pgsql',
    'url' => env('DB_URL'),
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '5432'),
    'database' => env('DB_DATABASE', 'silent_keep'),
    'username' => env('DB_USERNAME', 'silent_keep'),
    'password' => env('DB_PASSWORD', ''),
    'charset' => 'utf8',
    'prefix' => '',
    'search_path' => 'public',
    'sslmode' => env('DB_SSLMODE', 'prefer'),
    'busy_timeout' => 10_000,
];

return [
    'default' => env('DB_CONNECTION', 'sqlite'),
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'url' => env('DB_URL'),
            'database' => env('DB_DATABASE', database_path('school.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            'busy_timeout' => 10_000,
            'journal_mode' => 'wal',
            'synchronous' => env('DB_SYNCHRONOUS', 'normal'),
            // What is deleted is overwritten: of somebody who was erased nothing is to be found in the file.
            // In kibibytes of memory, as it is negative: long lists are written and sorted without going to the disk for each page.
            'pragmas' => ['cache_size' => -32_000, 'temp_store' => 'memory', 'secure_delete' => 'on'],
            // A server keeps its connections from one request to the next: reading the tables and triggers of the school anew takes a tenth of a page.
            'keeps_connections' => (bool) env('DB_KEEPS_CONNECTIONS', true),
        ],
        'pgsql' => $pgsql,
        // For sessions: nobody waits for whoever writes to the school.
        'aside' => [...$pgsql, 'one_writer' => false],
    ],
    // For more than one machine: what one keeps, the others know.
    'redis' => [
        'client' => 'phpredis',
        'options' => ['prefix' => env('REDIS_PREFIX', 'silent-keep:')],
        'default' => [
            'url' => env('REDIS_URL'), 'host' => env('REDIS_HOST', '127.0.0.1'), 'port' => env('REDIS_PORT', '6379'), 'username' => env('REDIS_USERNAME'), 'password' => env('REDIS_PASSWORD'), 'database' => env('REDIS_DB', '0'),
            // Whoever has to do without it does not wait for it either.
            'timeout' => 0.5, 'read_timeout' => 2.0, 'max_retries' => 1,
        ],
    ],
];
