<?php

declare(strict_types=1);

namespace App\Privacy\Erasing;

use App\Models\ErasedPerson;

/** Counts what went, in the transaction in which it went. */
final class Gone
{
    private function __construct()
    {
    }

    public static function count(ErasedPerson $erased, string $of, int $more): void
    {
        if ($more > 0) {
            $erased->update(['gone' => [...$erased->gone, $of => ($erased->gone[$of] ?? 0) + $more]]);
        }
    }
}
