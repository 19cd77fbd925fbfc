<?php

declare(strict_types=1);

namespace App\Pages\Shared;

/** A text as it is shown. */
final readonly class ReadyText
{
    public function __construct(public string $html)
    {
    }
}
