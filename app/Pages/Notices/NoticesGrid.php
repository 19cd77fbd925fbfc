<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Sightlines\Vantages\RulesVersion;
use App\Sightlines\Vantages\Vantage;
use OpenApi\Attributes as OA;

/** Every row against every vantage at one instant: the notice that would be met. */
#[OA\Schema]
final readonly class NoticesGrid
{
    /**
     * @param  int  $at  instant, in seconds since 1970
     * @param  string  $see  draft or published
     * @param  list<Vantage>  $vantages
     * @param  list<NoticeSight>  $sights
     * @param  list<list<int>>  $cells  numbers of sights, by row and by vantage
     */
    public function __construct(
        #[OA\Property] public int $at,
        #[OA\Property] public int $now,
        #[OA\Property(enum: RulesVersion::class)] public string $see,
        #[OA\Property(items: new OA\Items(ref: Vantage::class))] public array $vantages,
        #[OA\Property(items: new OA\Items(ref: NoticeSight::class))] public array $sights,
        #[OA\Property(items: new OA\Items(type: 'array', items: new OA\Items(type: 'integer')))] public array $cells,
    ) {
    }
}
