<?php

declare(strict_types=1);

/*
 * Heads of the file of the mailing list. Patterns are ICU messages.
 */
return [
    'list' => [
        'name' => 'name',
        'email' => 'email',
        'labels' => 'labels',
        'since' => 'since',
    ],
];
