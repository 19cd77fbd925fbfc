<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Notices\NoticeLevel;
use OpenApi\Attributes as OA;

/** What is said of a closed door at one level. */
#[OA\Schema]
final readonly class NoticeMetLevel
{
    /**
     * @param  ?string  $item  of the course that has the words; null: the course or the school
     * @param  ?string  $title  of that item
     * @param  ?string  $offer  for whose holders alone, by key
     * @param  ?string  $offerTitle
     * @param  ?string  $words  the heading or the first of the text; null: nothing is said here
     * @param  bool  $holds  whether it is what is met
     */
    public function __construct(
        #[OA\Property(enum: NoticeLevel::class)] public string $level,
        #[OA\Property] public ?string $item,
        #[OA\Property] public ?string $title,
        #[OA\Property] public ?string $offer,
        #[OA\Property] public ?string $offerTitle,
        #[OA\Property] public ?string $words,
        #[OA\Property] public bool $holds,
    ) {
    }
}
