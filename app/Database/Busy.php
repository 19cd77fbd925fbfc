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

    /** Somebody else was at work until the deadline, the school is just moving to another database, or its database is just being started again. */
    public static function was(Throwable $error): bool
    {
        return self::isLocked($error) || self::any($error, static fn (PDOException $one): bool => str_contains($one->getMessage(), Seal::SAYS) || self::isGone($one));
    }

    /** Somebody else is at work: it is worth while to wait. */
    public static function isLocked(Throwable $error): bool
    {
        return self::any($error, static fn (PDOException $one): bool => ($one->errorInfo[0] ?? '') === 'HY000'
            // Numbers of errors are other ones elsewhere.
            ? in_array((int) ($one->errorInfo[1] ?? 0) & 0xFF, self::SQLITE, true)
            : in_array($one->errorInfo[0] ?? '', self::PGSQL, true));
    }

    private static function isGone(PDOException $error): bool
    {
        return preg_match('/^(08|57P0)/', (string) ($error->errorInfo[0] ?? '')) === 1
            || preg_match('/server closed the connection|no connection to the server/', $error->getMessage()) === 1;
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
