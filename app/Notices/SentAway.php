<?php

declare(strict_types=1);

namespace App\Notices;

/** Instead of a notice: whoever meets this closed door is sent elsewhere. */
final readonly class SentAway
{
    public function __construct(public string $address)
    {
    }
}
