<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use OpenApi\Attributes as OA;

/** How one lesson went. */
#[OA\Schema]
final readonly class MarkRow
{
    /**
     * @param  ?string  $finished  when, in words; null: not
     * @param  ?int  $score  of its quiz at best, per cent
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public bool $open,
        #[OA\Property] public ?string $finished,
        #[OA\Property] public ?int $score,
    ) {
    }
}
