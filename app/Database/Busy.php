<?php

declare(strict_types=1);

namespace App\Database;

use App\Database\Copying\Seal;
use PDOException;
use Throwable;

/** Why a database could not do something: nothing was done, and in a moment it can be. */
final class Busy
{
    /** SQLITE_BUSY and SQLITE_LOCKED. */
    private const SQLITE = [5, 6];

    /** What PostgreSQL says of a lock that was not to be had, of two that wait for each other, and of one that it could not put after another. */
    private const PGSQL = ['55P03', '40P01', '40001'];

    private function __construct()
    {
    }

    /** Somebody else was at work until the deadline, or the school is just moving to another database. */
    public static function was(Throwable $error): bool
    {
        return self::isLocked($error) || self::any($error, static fn (PDOException $one): bool => str_contains($one->getMessage(), Seal::SAYS));
    }

    /** Somebody else is at work: it is worth while to wait. */
    public static function isLocked(Throwable $error): bool
    {
        return self::any($error, static fn (PDOException $one): bool => ($one->errorInfo[0] ?? '') === 'HY000'
            // Numbers of errors are other ones elsewhere.
            ? in_array((int) ($one->errorInfo[1] ?? 0) & 0xFF, self::SQLITE, true)
            : in_array($one->errorInfo[0] ?? '', self::PGSQL, true));
    }

    /** @param  \Closure(PDOException): bool  $is */
    private static function any(Throwable $error, \Closure $is): bool
    {
        for ($one = $error; $one !== null; $one = $one->getPrevious()) {
            if ($one instanceof PDOException && $is($one)) {
                return true;
            }
        }

        return false;
    }
}
