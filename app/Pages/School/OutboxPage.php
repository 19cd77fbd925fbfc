<?php

declare(strict_types=1);

namespace App\Pages\School;

use OpenApi\Attributes as OA;

/** Letters that were sent, a page of them. */
#[OA\Schema]
final readonly class OutboxPage
{
    /**
     * @param  list<SentLetter>  $letters
     * @param  ?string  $find  part of an address or a subject; null: all
     * @param  ?string  $state  null: all
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: SentLetter::class))] public array $letters,
        #[OA\Property] public ?string $find,
        #[OA\Property] public ?string $state,
        #[OA\Property] public int $total,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
    ) {
    }
}
