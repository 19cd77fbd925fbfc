<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;
use PDOException;
use Throwable;

/** Nothing more can be written until somebody makes room: neither into the database nor into a file. Nothing was done. */
final class DiskFull
{
    private const SQLITE_FULL = 13;

    /** Said of much: also where the file that connections share beside the database cannot be made, without which nothing is read either. */
    private const SQLITE_IOERR = 10;

    /** Bytes that SQLite needs for that file, and some. */
    private const LEAST = 65_536;

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
                $code = $state === 'HY000' ? (int) $code & 0xFF : 0;
                if ($state === self::PGSQL || $code === self::SQLITE_FULL || ($code === self::SQLITE_IOERR && self::isNoRoom())) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function isNoRoom(): bool
    {
        $file = DB::connection()->getDatabaseName();

        return is_file($file) && (float) disk_free_space(dirname($file)) < self::LEAST;
    }
}
