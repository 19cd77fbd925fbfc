<?php

declare(strict_types=1);

namespace App\Privacy\Held;

/** How much of somebody a section holds. */
final readonly class Holding
{
    public function __construct(public Section $section, public int $rows)
    {
    }
}
