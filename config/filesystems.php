<?php

declare(strict_types=1);

return [
    'default' => env('FILESYSTEM_DISK', 'local'),
    'disks' => [
        // Nothing is served from the disk by address alone.
        'local' => ['driver' => 'local', 'root' => env('FILES_ROOT', storage_path('app')), 'serve' => false, 'throw' => true,
            // The school's files are nobody else's on the machine.
            'visibility' => 'private', 'directory_visibility' => 'private', 'permissions' => ['file' => ['public' => 0600, 'private' => 0600], 'dir' => ['public' => 0700, 'private' => 0700]]],
        // Any that speaks S3, for several servers or more room than one has (FILESYSTEM_DISK=s3): what is in it goes through us, whoever asks.
        's3' => ['driver' => 's3', 'key' => env('S3_KEY'), 'secret' => env('S3_SECRET'), 'region' => env('S3_REGION', 'us-east-1'), 'bucket' => env('S3_BUCKET'), 'root' => env('S3_PREFIX', ''),
            'endpoint' => env('S3_ENDPOINT'), 'use_path_style_endpoint' => (bool) env('S3_PATH_STYLE', false), 'throw' => true],
    ],
];
