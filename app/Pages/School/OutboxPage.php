<?php

declare(strict_types=1);

namespace App\Pages\School;

use OpenApi\Attributes as OA;

/** Letters that were sent, a page of them. */
#[OA\Schema]
final readonly class OutboxPage
{
    /** @param  list<SentLetter>  $letters */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: SentLetter::class))] public array $letters,
        #[OA\Property] public int $total,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
    ) {
    }
}
