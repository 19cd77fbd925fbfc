<?php

declare(strict_types=1);

namespace App\Standins\Wire;

/** What a system of others answered. */
final readonly class WireAnswer
{
    /** @param  string  $beginning  of its body */
    public function __construct(public int $status, public string $beginning)
    {
    }

    public function isTaken(): bool
    {
        return $this->status >= 200 && $this->status < 300;
    }
}
