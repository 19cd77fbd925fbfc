<?php

declare(strict_types=1);

namespace App\Notices\Met;

use OpenApi\Attributes as OA;

/** How often a closed door was met in the last thirty days, and what was done next. */
#[OA\Schema]
final readonly class DoorCount
{
    /**
     * @param  int  $left  who did nothing of these
     * @param  array<string, int>  $who  visitor, guest, member, observer or holder, the most first
     * @param  list<int>  $weeks  how often in each of the last twelve weeks, the present one last
     */
    public function __construct(
        #[OA\Property] public int $met,
        #[OA\Property] public int $taken,
        #[OA\Property] public int $signedIn,
        #[OA\Property] public int $wentOn,
        #[OA\Property] public int $left,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))] public array $who,
        #[OA\Property(items: new OA\Items(type: 'integer'))] public array $weeks,
    ) {
    }
}
