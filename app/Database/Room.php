<?php

declare(strict_types=1);

namespace App\Database;

use Closure;
use Illuminate\Support\Facades\DB;

/** More memory for what touches very many rows, where the database needs to be told. */
final class Room
{
    /**
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
    public static function for(Closure $do): mixed
    {
        $connection = DB::connection();

        return $connection instanceof OneWriter ? $connection->withRoom($do) : $do();
    }
}
