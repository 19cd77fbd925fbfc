<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use OpenApi\Attributes as OA;

/** Systems of others that are told what comes about. */
#[OA\Schema]
final readonly class OutsidePage
{
    /**
     * @param  list<OutsideRow>  $systems  by name
     * @param  ?int  $open  the one that is worked on
     * @param  list<OutsideEventRow>  $events  that it was told, the latest first
     * @param  ?string  $secret  shown once, after it was made
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: OutsideRow::class))] public array $systems,
        #[OA\Property] public ?int $open,
        #[OA\Property(items: new OA\Items(ref: OutsideEventRow::class))] public array $events,
        #[OA\Property] public ?string $secret,
    ) {
    }
}
