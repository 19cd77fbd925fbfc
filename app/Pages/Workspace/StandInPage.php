<?php

declare(strict_types=1);

namespace App\Pages\Workspace;

use App\Access\ZoneOffset;
use App\Sightlines\Vantages\RulesVersion;
use App\Sightlines\Vantages\Vantage;
use OpenApi\Attributes as OA;

/** The learner's side as one viewer or two meet it, in a frame that says so. */
#[OA\Schema]
final readonly class StandInPage
{
    /**
     * @param  list<Vantage>  $vantages  one, or two side by side
     * @param  list<Vantage>  $others  who may stand beside
     * @param  int  $at  instant
     * @param  string  $see  draft or published
     * @param  ?string  $item  that is opened at first
     * @param  list<ZoneOffset>  $offsets  of the school's wall clock
     * @param  bool  $hasDraft  whether the rules of the draft differ
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public string $title,
        #[OA\Property(items: new OA\Items(ref: Vantage::class))] public array $vantages,
        #[OA\Property(items: new OA\Items(ref: Vantage::class))] public array $others,
        #[OA\Property] public int $at,
        #[OA\Property] public int $now,
        #[OA\Property(enum: RulesVersion::class)] public string $see,
        #[OA\Property(items: new OA\Items(ref: ZoneOffset::class))] public array $offsets,
        #[OA\Property] public ?string $item,
        #[OA\Property] public bool $hasDraft,
    ) {
    }
}
