<?php

declare(strict_types=1);

namespace App\People\Import;

/** A row of a file of which nothing is done, and why; the others are brought in all the same. */
final readonly class PassedLine
{
    public function __construct(public int $line, public string $message)
    {
    }
}
