<?php

declare(strict_types=1);

namespace App\Pages\School;

use App\Pages\Triggers\NumberPick;
use OpenApi\Attributes as OA;

/** What systems of others were told, and what they told, a page of it. */
#[OA\Schema]
final readonly class WirePage
{
    /**
     * @param  list<WireRow>  $rows  the latest first
     * @param  list<NumberPick>  $systems
     * @param  string  $way  which is looked at
     * @param  ?int  $system  the one that is looked at; null: all
     * @param  ?string  $state  of those that went out; null: all
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: WireRow::class))] public array $rows,
        #[OA\Property(items: new OA\Items(ref: NumberPick::class))] public array $systems,
        #[OA\Property(enum: ['out', 'in'])] public string $way,
        #[OA\Property] public ?int $system,
        #[OA\Property] public ?string $state,
        #[OA\Property] public int $total,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
    ) {
    }
}
