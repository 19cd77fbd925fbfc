<?php

declare(strict_types=1);

namespace App\Http\Api\Inputs;

use OpenApi\Attributes as OA;

/** Something that came about elsewhere: a CloudEvent 1.0 in structured mode. */
#[OA\Schema(additionalProperties: true)]
final readonly class CloudEvent
{
    /**
     * @param  string  $id  unique in its source: the same event again does nothing more
     * @param  string  $source  where it came about
     * @param  string  $type  by which triggers know it
     * @param  ?string  $time  when it came about
     */
    public function __construct(
        #[OA\Property(enum: ['1.0'])] public string $specversion,
        #[OA\Property(minLength: 1, maxLength: 200)] public string $id,
        #[OA\Property(minLength: 1, maxLength: 200)] public string $source,
        #[OA\Property(minLength: 1, maxLength: 200)] public string $type,
        #[OA\Property] public EventData $data,
        #[OA\Property(format: 'date-time')] public ?string $time = null,
    ) {
    }
}
