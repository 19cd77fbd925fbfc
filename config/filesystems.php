<?php

declare(strict_types=1);

return [
    'disks' => [
        // Nothing is served from the disk by address alone.
        'local' => ['driver' => 'local', 'root' => env('FILES_ROOT', storage_path('app')), 'serve' => false, 'throw' => true],
    ],
];
