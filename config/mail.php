<?php

declare(strict_types=1);

// Letters go by Laravel's mailer. Without a mail server they are laid out on this machine: `keep:letters` prints them.
return [
    'default' => env('MAIL_MAILER', 'outbox'),
    'mailers' => [
        'outbox' => ['transport' => 'outbox'],
        'smtp' => [
            'transport' => 'smtp', 'scheme' => env('MAIL_SCHEME'), 'host' => env('MAIL_HOST', '127.0.0.1'), 'port' => env('MAIL_PORT', 587),
            'username' => env('MAIL_USERNAME'), 'password' => env('MAIL_PASSWORD'), 'timeout' => 15,
        ],
        'sendmail' => ['transport' => 'sendmail', 'path' => env('MAIL_SENDMAIL_PATH', '/usr/sbin/sendmail -bs -i')],
        'array' => ['transport' => 'array'],
    ],
    'from' => ['address' => env('MAIL_FROM_ADDRESS', 'school@silent-keep.invalid'), 'name' => env('MAIL_FROM_NAME', 'Silent Keep')],
];
