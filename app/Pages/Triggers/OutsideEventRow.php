<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use OpenApi\Attributes as OA;

/** What a system of others was told, and what it answered. */
#[OA\Schema]
final readonly class OutsideEventRow
{
    /**
     * @param  ?string  $next  when it is tried again, in words
     * @param  list<string>  $signature  headers of the last try
     * @param  ?string  $answered  status and beginning of the last answer, or why there was none
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $when,
        #[OA\Property(enum: ['waiting', 'taken', 'failed'])] public string $state,
        #[OA\Property] public int $tries,
        #[OA\Property] public ?string $next,
        #[OA\Property] public string $body,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $signature,
        #[OA\Property] public ?string $answered,
    ) {
    }
}
