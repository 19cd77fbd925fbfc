<?php

declare(strict_types=1);

namespace App\Models;

/** How often a membership is paid for. */
enum PaidEvery: string
{
    case Month = 'month';
    case Year = 'year';

    public function months(): int
    {
        return $this === self::Month ? 1 : 12;
    }
}
