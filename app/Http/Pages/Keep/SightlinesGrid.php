<?php

declare(strict_types=1);

namespace App\Http\Pages\Keep;

use OpenApi\Attributes as OA;

/** Every row against every vantage at one instant. */
#[OA\Schema]
final readonly class SightlinesGrid
{
    /**
     * @param  string  $at  wall-clock time in the school's zone, as a form field takes it
     * @param  bool  $draft  with the changes that are not published
     * @param  list<Vantage>  $vantages
     * @param  list<SightRow>  $rows  in the order of the outline
     */
    public function __construct(
        #[OA\Property] public string $at,
        #[OA\Property] public string $atWords,
        #[OA\Property] public bool $isNow,
        #[OA\Property] public bool $draft,
        #[OA\Property(items: new OA\Items(ref: Vantage::class))] public array $vantages,
        #[OA\Property(items: new OA\Items(ref: SightRow::class))] public array $rows,
    ) {
    }
}
