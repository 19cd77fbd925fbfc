<?php

declare(strict_types=1);

namespace App\Database;

use App\Database\Copying\Seal;
use PDOException;
use Throwable;

/** Whether a database was busy with somebody else until the deadline, or the school is just moving to another: nothing was done, and in a moment it can be. */
final class Busy
{
    /** SQLITE_BUSY and SQLITE_LOCKED. */
    private const SQLITE = [5, 6];

    /** What PostgreSQL says of a lock that was not to be had, of two that wait for each other, and of one that it could not put after another. */
    private const PGSQL = ['55P03', '40P01', '40001'];

    private function __construct()
    {
    }

    public static function was(Throwable $error): bool
    {
        for ($one = $error; $one !== null; $one = $one->getPrevious()) {
            if ($one instanceof PDOException && (str_contains($one->getMessage(), Seal::SAYS) || in_array($one->errorInfo[0] ?? '', self::PGSQL, true) || in_array((int) ($one->errorInfo[1] ?? 0) & 0xFF, self::isSqlite($one) ? self::SQLITE : [], true))) {
                return true;
            }
        }

        return false;
    }

    /** Numbers of errors are other ones elsewhere. */
    private static function isSqlite(PDOException $error): bool
    {
        return ($error->errorInfo[0] ?? '') === 'HY000';
    }
}
