<?php

declare(strict_types=1);

namespace App\Pages\School;

use OpenApi\Attributes as OA;

/** A letter with its placeholders filled in, as somebody might get it. */
#[OA\Schema]
final readonly class LetterPreview
{
    /** @param  list<string>  $unknown  words in braces that stand for nothing */
    public function __construct(
        #[OA\Property] public string $from,
        #[OA\Property] public string $to,
        #[OA\Property] public string $subject,
        #[OA\Property] public string $body,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $unknown,
    ) {
    }
}
