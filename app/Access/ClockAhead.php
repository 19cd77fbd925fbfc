<?php

declare(strict_types=1);

namespace App\Access;

use DateTimeImmutable;
use Psr\Clock\ClockInterface;

/** A clock that goes so many seconds ahead of the real one. */
final readonly class ClockAhead implements ClockInterface
{
    public function __construct(private int $seconds)
    {
    }

    public function now(): DateTimeImmutable
    {
        return new DateTimeImmutable('@'.(time() + $this->seconds));
    }
}
