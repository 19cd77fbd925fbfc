<?php

declare(strict_types=1);

namespace App\Ledger\Past;

/** An entry of the ledger, as far as access is decided by it, or told. */
final readonly class Entry
{
    /**
     * @param  int  $at  seconds since 1970
     * @param  string  $by  whose hand it was, as {@see \App\Database\Hand} has it
     * @param  'made'|'changed'|'gone'|'whole'  $what
     */
    public function __construct(public int $id, public int $at, public string $by, public string $cause, public string $subject, public string $what, public Fact $fact)
    {
    }
}
