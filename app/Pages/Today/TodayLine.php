<?php

declare(strict_types=1);

namespace App\Pages\Today;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** One thing that somebody who looks in each morning wants to know, and where to go on from it. */
#[OA\Schema]
final readonly class TodayLine
{
    /**
     * @param  string  $below  in soft words
     * @param  bool  $soon  whether it is to be done today
     * @param  ?string  $at  RFC 3339, of what $below says first; null: no instant
     * @param  ?string  $href  where to go on
     * @param  ?int  $undoes  an act on people that is taken back by going on, by its number
     */
    public function __construct(
        #[OA\Property] public Sentence $what,
        #[OA\Property] public string $below,
        #[OA\Property] public string $go,
        #[OA\Property] public ?string $href,
        #[OA\Property] public ?string $at = null,
        #[OA\Property] public bool $soon = false,
        #[OA\Property] public ?int $undoes = null,
    ) {
    }
}
