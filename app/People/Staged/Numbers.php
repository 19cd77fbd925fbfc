<?php

declare(strict_types=1);

namespace App\People\Staged;

use Illuminate\Support\Facades\DB;

/** Numbers of rows that are to be made later: nobody else will be given them. */
final class Numbers
{
    /** @return int the last of them */
    public static function keep(string $table, int $count): int
    {
        return DB::transaction(static function () use ($table, $count): int {
            $is = DB::table($table)->max('id');
            DB::table('sqlite_sequence')->where('name', $table)->exists() || DB::table('sqlite_sequence')->insert(['name' => $table, 'seq' => 0]);
            $was = DB::table('sqlite_sequence')->where('name', $table)->value('seq');
            $last = max(is_numeric($is) ? (int) $is : 0, is_numeric($was) ? (int) $was : 0) + $count;
            DB::table('sqlite_sequence')->where('name', $table)->update(['seq' => $last]);

            return $last;
        });
    }
}
