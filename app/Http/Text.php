<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;

/** A text that a request may bring; where it brings something else, or nothing, there is none. */
final class Text
{
    public static function of(Request $request, string $field, int $most = 100_000): string
    {
        $text = $request->input($field);

        return is_string($text) ? mb_substr($text, 0, $most) : '';
    }
}
