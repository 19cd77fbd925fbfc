<?php

declare(strict_types=1);

namespace App\Database;

use Closure;

/** A connection to a database in which one writes at a time, while the others wait for their turn until a deadline. */
interface OneWriter
{
    /**
     * Runs a write of little weight at once or not at all: it is given up where it would have to wait. Not to be called inside a transaction.
     *
     * @param  Closure(): void  $write
     * @return bool whether it was done
     */
    public function atOnceOrNot(Closure $write): bool;

    /**
     * Runs something that touches very many rows, with more memory than is usual.
     *
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
    public function withRoom(Closure $do): mixed;
}
