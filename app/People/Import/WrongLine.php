<?php

declare(strict_types=1);

namespace App\People\Import;

/** A row of a file that cannot be brought in, and why. */
final readonly class WrongLine
{
    /** @param  list<string>  $cells  of it, where it is of a CSV file */
    public function __construct(public int $line, public string $message, public array $cells = [])
    {
    }
}
