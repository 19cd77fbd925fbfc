<?php

declare(strict_types=1);

namespace App\Ledger\Story;

use App\Ledger\Past\Entry;
use App\Ledger\Past\Fact;
use App\Ledger\Past\PastAnswer;
use SilentKeep\Core\Deciding\Decision;

/** An instant at which something became otherwise for somebody, or something happened to them. */
final readonly class Turn
{
    /**
     * @param  int  $at  seconds since 1970
     * @param  list<array{Entry, ?Fact}>  $entries  what was written then that concerns them, each with the row as it was before; none: only time went on
     * @param  ?PastAnswer  $answer  as it is from then on; null: the course is not published
     * @param  array<array-key, Decision>  $changes  by item, of those that are told otherwise than before
     */
    public function __construct(public int $at, public array $entries, public ?PastAnswer $answer, public array $changes)
    {
    }
}
