<?php

declare(strict_types=1);

namespace App\Database;

use PDOException;
use Throwable;

/** Nothing more can be written until somebody makes room: neither into the database nor into a file. Nothing was done. */
final class DiskFull
{
    private const SQLITE_FULL = 13;

    private const PGSQL = '53100';

    private function __construct()
    {
    }

    public static function was(Throwable $error): bool
    {
        for ($one = $error; $one !== null; $one = $one->getPrevious()) {
            if (str_contains($one->getMessage(), 'No space left on device')) {
                return true;
            }
            if ($one instanceof PDOException) {
                [$state, $code] = [...($one->errorInfo ?? []), '', 0];
                if ($state === self::PGSQL || ($state === 'HY000' && ((int) $code & 0xFF) === self::SQLITE_FULL)) {
                    return true;
                }
            }
        }

        return false;
    }
}
