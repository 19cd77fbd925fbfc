<?php

declare(strict_types=1);

namespace App\Ledger\Recording;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Has the database itself write the ledger: whatever changes a row, in one statement or in thousands, writes its entries in the same transaction. */
final class Recording
{
    private function __construct()
    {
    }

    /** Whether it does. */
    public static function isOn(): bool
    {
        return Schema::hasTable('ledger') && DB::select(self::spoken()->standing()) !== [];
    }

    /** Until {@see self::begin()}; nothing where there is no ledger. */
    public static function pause(): void
    {
        if (Schema::hasTable('ledger')) {
            self::end();
        }
    }

    /** As this version of the program knows it, also where a migration has made a table anew; nothing where it is so already, or there is no ledger yet. */
    public static function begin(): void
    {
        if (! Schema::hasTable('ledger')) {
            return;
        }
        $spoken = self::spoken();
        foreach ($spoken->rules() as $rule) {
            DB::unprepared($rule);
        }
    }

    /** While rows are put in that are in the ledger already. To be called inside a transaction. */
    public static function end(): void
    {
        foreach (self::spoken()->undone() as $rule) {
            DB::unprepared($rule);
        }
    }

    private static function spoken(): Triggers
    {
        return DB::getDriverName() === 'pgsql' ? new PgsqlTriggers : new SqliteTriggers;
    }
}
