<?php

declare(strict_types=1);

namespace App\People\Import;

/** A row of a file that ends what earlier files gave somebody. */
final readonly class EndingLine
{
    /**
     * @param  int  $line  of the file, from 1
     * @param  list<string>  $offers  keys: passes of these end
     * @param  string  $why  what the row says, without a full stop
     */
    public function __construct(public int $line, public string $email, public array $offers, public string $why)
    {
    }
}
