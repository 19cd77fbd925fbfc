<?php

declare(strict_types=1);

namespace App\Database;

use PDO;

/** Rows as lists, without an object for each: what reads very many spends most of its time on those. */
trait HandsOutLists
{
    /**
     * @param  array<array-key, mixed>  $bindings
     * @return list<list<int|float|string|null>> each with its columns in the order in which they are selected
     */
    public function lists(string $query, array $bindings): array
    {
        /** @var list<list<int|float|string|null>> $lists */
        $lists = $this->run($query, $bindings, function (string $query, array $bindings): array {
            $statement = $this->getPdo()->prepare($query);
            $this->bindValues($statement, $this->prepareBindings($bindings));
            $statement->execute();

            return $statement->fetchAll(PDO::FETCH_NUM);
        });

        return $lists;
    }
}
