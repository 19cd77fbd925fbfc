<?php

declare(strict_types=1);

namespace App\Pages\People;

use OpenApi\Attributes as OA;

/** A pass that somebody holds or has held. */
#[OA\Schema]
final readonly class HeldPass
{
    /**
     * @param  string  $standing  active, later, paused, withdrawn or ended
     * @param  ?string  $until  in words; null: for good
     * @param  ?string  $left  how long it still lasts, or since when it has ended
     * @param  ?string  $paced  from when its days count, where that is not its beginning
     * @param  string  $source  what gave it, and who
     * @param  ?string  $erased  what was or will be erased, and when
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $course,
        #[OA\Property] public string $courseTitle,
        #[OA\Property] public string $offer,
        #[OA\Property] public string $offerName,
        #[OA\Property(enum: ['active', 'later', 'paused', 'withdrawn', 'ended'])] public string $standing,
        #[OA\Property] public string $from,
        #[OA\Property] public ?string $until,
        #[OA\Property] public ?string $left,
        #[OA\Property] public ?string $paced,
        #[OA\Property] public string $source,
        #[OA\Property] public ?string $erased,
    ) {
    }
}
