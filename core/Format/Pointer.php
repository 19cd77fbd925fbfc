<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

final class Pointer
{
    private function __construct()
    {
    }

    /** One reference token as RFC 6901 writes it. */
    public static function escape(string|int $token): string
    {
        return str_replace(['~', '/'], ['~0', '~1'], (string) $token);
    }
}
