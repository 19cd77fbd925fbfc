<?php

declare(strict_types=1);

return [
    'disks' => [
        // Nothing is served from the disk by address alone.
        'local' => ['driver' => 'local', 'root' => env('FILES_ROOT', storage_path('app')), 'serve' => false, 'throw' => true,
            // The school's files are nobody else's on the machine.
            'visibility' => 'private', 'directory_visibility' => 'private', 'permissions' => ['file' => ['public' => 0600, 'private' => 0600], 'dir' => ['public' => 0700, 'private' => 0700]]],
    ],
];
