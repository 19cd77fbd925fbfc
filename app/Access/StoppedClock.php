<?php

declare(strict_types=1);

namespace App\Access;

use DateTimeImmutable;
use Psr\Clock\ClockInterface;

/** A clock that shows one instant, to look at another time than the present. */
final readonly class StoppedClock implements ClockInterface
{
    public function __construct(private int $instant)
    {
    }

    public function now(): DateTimeImmutable
    {
        return new DateTimeImmutable('@'.$this->instant);
    }
}
