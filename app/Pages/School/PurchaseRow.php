<?php

declare(strict_types=1);

namespace App\Pages\School;

use OpenApi\Attributes as OA;

/** Something that was bought or claimed, and what the stand-in shop can tell of it. */
#[OA\Schema]
final readonly class PurchaseRow
{
    /**
     * @param  string  $paid  price in words
     * @param  string  $standing  what became of it, in words
     * @param  list<string>  $passes  of it, in words
     * @param  ?int  $next  the payment that comes next; null: it is not paid for again
     * @param  bool  $refundable  it was not refunded yet
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $when,
        #[OA\Property] public int $person,
        #[OA\Property] public string $personName,
        #[OA\Property] public string $what,
        #[OA\Property] public string $paid,
        #[OA\Property] public string $standing,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $passes,
        #[OA\Property] public ?int $next,
        #[OA\Property] public bool $refundable,
    ) {
    }
}
