<?php

declare(strict_types=1);

namespace App\Database\Copying;

use Illuminate\Database\Connection;

/** A database of SQLite that takes no writes any more, as the school has moved on: what somebody would still write there would be lost. */
final class Seal
{
    /** What whoever writes is told by the database. */
    public const SAYS = 'This school has moved to another database.';

    private function __construct()
    {
    }

    public static function close(Connection $sqlite): void
    {
        foreach (SchoolTables::names($sqlite) as $table) {
            foreach (['insert', 'update', 'delete'] as $write) {
                $sqlite->unprepared("create trigger if not exists moved_{$table}_{$write} before {$write} on \"{$table}\" begin select raise(abort, '".self::SAYS."'); end");
            }
        }
    }

    public static function open(Connection $sqlite): void
    {
        foreach (SchoolTables::names($sqlite) as $table) {
            foreach (['insert', 'update', 'delete'] as $write) {
                $sqlite->unprepared("drop trigger if exists moved_{$table}_{$write}");
            }
        }
    }

    public static function isClosed(Connection $sqlite): bool
    {
        return $sqlite->selectOne("select 1 as there from sqlite_master where type = 'trigger' and name = 'moved_schools_update'") !== null;
    }
}
