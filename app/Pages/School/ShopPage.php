<?php

declare(strict_types=1);

namespace App\Pages\School;

use OpenApi\Attributes as OA;

/** What the stand-in for a shop has sold, and told since. */
#[OA\Schema]
final readonly class ShopPage
{
    /**
     * @param  list<PurchaseRow>  $purchases  the latest first
     * @param  list<ShopEventRow>  $events  likewise, the first page of them
     * @param  int  $told  how many events there are in all
     * @param  ?string  $find  whose purchases and events these are, as it was typed; null: everybody's
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: PurchaseRow::class))] public array $purchases,
        #[OA\Property(items: new OA\Items(ref: ShopEventRow::class))] public array $events,
        #[OA\Property] public int $told,
        #[OA\Property] public int $total,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
        #[OA\Property] public ?string $find,
    ) {
    }
}
