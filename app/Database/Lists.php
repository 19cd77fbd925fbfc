<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Query\Builder;

/** Rows as lists, for what reads very many. */
final class Lists
{
    private function __construct()
    {
    }

    /** @return list<list<int|float|string|null>> each with its columns in the order in which they are selected */
    public static function of(Builder $query): array
    {
        $connection = $query->getConnection();
        if ($connection instanceof WaitingConnection || $connection instanceof OneWriterPgsql) {
            return $connection->lists($query->toSql(), $query->getBindings());
        }

        return array_values($query->get()->map(static fn (object $row): array => array_values((array) $row))->all());
    }
}
