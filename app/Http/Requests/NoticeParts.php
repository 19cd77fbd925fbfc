<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Notices\Parts\ButtonDoes;
use App\Notices\Parts\Part;
use App\Notices\Parts\PartKind;
use Illuminate\Http\Request;

/** Reads the parts of a notice from a form: what is no part is left out. */
final class NoticeParts
{
    /** @return list<Part> */
    public static function of(Request $request): array
    {
        $parts = [];
        foreach ((array) $request->input('parts') as $one) {
            $text = static fn (string $name): string => is_array($one) && is_string($one[$name] ?? null) ? trim($one[$name]) : '';
            $kind = PartKind::tryFrom($text('kind'));
            if ($kind !== null) {
                $isButton = $kind === PartKind::Button;
                $parts[] = new Part($kind->value, $kind->isWritten() ? mb_substr($text('text'), 0, 5000) : '', $isButton ? ButtonDoes::tryFrom($text('does'))?->value : null, $isButton || $kind === PartKind::Picture ? $text('to') : '');
            }
        }

        return $parts;
    }
}
