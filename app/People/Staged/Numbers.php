<?php

declare(strict_types=1);

namespace App\People\Staged;

use App\Database\Dialects;
use Illuminate\Support\Facades\DB;

/** Numbers of rows that are to be made later: nobody else will be given them. */
final class Numbers
{
    /** @return int the last of them */
    public static function keep(string $table, int $count): int
    {
        return DB::transaction(static fn (): int => Dialects::spoken()->keepNumbers($table, $count));
    }
}
