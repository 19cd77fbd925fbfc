<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Notices\NoticeCase;
use OpenApi\Attributes as OA;

/** A place at which a shared notice stands, or a door at which it was met. */
#[OA\Schema]
final readonly class SharedPlaceRow
{
    /**
     * @param  ?string  $course  key; null: the whole school
     * @param  string  $at  in words: the course, and in it the row
     * @param  ?string  $item  key of the row
     * @param  ?string  $offer  for whose holders alone, by key
     * @param  ?string  $offerTitle  likewise
     * @param  string  $who  meets it, in words
     * @param  ?int  $met  how often, in the last thirty days; null: it is a place, and not one door
     */
    public function __construct(
        #[OA\Property] public ?string $course,
        #[OA\Property] public string $at,
        #[OA\Property] public ?string $item,
        #[OA\Property] public ?string $offer,
        #[OA\Property] public ?string $offerTitle,
        #[OA\Property(enum: NoticeCase::class)] public string $case,
        #[OA\Property] public string $who,
        #[OA\Property] public ?int $met,
    ) {
    }
}
