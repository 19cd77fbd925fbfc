<?php

declare(strict_types=1);

return [
    'providers' => [
        'users' => ['driver' => 'eloquent', 'model' => App\Models\Person::class],
    ],
];
