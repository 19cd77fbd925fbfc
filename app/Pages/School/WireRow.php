<?php

declare(strict_types=1);

namespace App\Pages\School;

use OpenApi\Attributes as OA;

/** A message to a system of others, or from one. */
#[OA\Schema]
final readonly class WireRow
{
    /**
     * @param  string  $key  of the row
     * @param  bool  $incoming  whether it came in
     * @param  ?int  $event  number of one that went out, which can be told again
     * @param  string  $type  of the event
     * @param  string  $state  waiting, taken or failed
     * @param  string  $body  JSON
     * @param  list<string>  $signature  headers
     * @param  ?string  $answered
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public bool $incoming,
        #[OA\Property] public ?int $event,
        #[OA\Property] public string $system,
        #[OA\Property] public string $type,
        #[OA\Property] public string $when,
        #[OA\Property(enum: ['waiting', 'taken', 'failed'])] public string $state,
        #[OA\Property] public string $body,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $signature,
        #[OA\Property] public ?string $answered,
    ) {
    }
}
