<?php

declare(strict_types=1);

namespace App\People;

/** A page of people whom a filter lets through. */
final readonly class FoundPage
{
    /**
     * @param  list<int>  $ids  of those on it, in their order
     * @param  int  $total  of all whom it lets through
     * @param  int  $page  from 1
     */
    public function __construct(public array $ids, public int $total, public int $page, public int $pages)
    {
    }
}
