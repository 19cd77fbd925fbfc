<?php

declare(strict_types=1);

return [
    // Whoever comes with a session is let in by its pages, not by the interface.
    'guard' => [],
    'expiration' => null,
    'token_prefix' => 'keep_',
    'routes' => false,
    // Noted in passing, so that no question waits for whoever writes.
    'last_used_at' => false,
];
