<?php

declare(strict_types=1);

namespace App\Pages\Api\People;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Viewing\PassState;

/** An entry to one course by one offer. It opens it while its state is active, from its beginning until its end. */
#[OA\Schema]
final readonly class PassTold
{
    /**
     * @param  string  $offer  key
     * @param  string  $course  key
     * @param  ?string  $until  null: for good
     * @param  ?string  $paced_from  from when its days count; null: from its beginning
     * @param  string  $source  what gave it
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $offer,
        #[OA\Property] public string $course,
        #[OA\Property(format: 'date-time')] public string $from,
        #[OA\Property(format: 'date-time')] public ?string $until,
        #[OA\Property(enum: PassState::class)] public string $state,
        #[OA\Property(format: 'date-time')] public ?string $paced_from,
        #[OA\Property] public string $source,
    ) {
    }
}
