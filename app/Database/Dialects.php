<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;

final class Dialects
{
    private function __construct()
    {
    }

    /** What the database of the school understands. */
    public static function spoken(): Dialect
    {
        return DB::getDriverName() === 'pgsql' ? new PgsqlDialect : new SqliteDialect;
    }
}
