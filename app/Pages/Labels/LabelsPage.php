<?php

declare(strict_types=1);

namespace App\Pages\Labels;

use OpenApi\Attributes as OA;

/** All labels of the school, and where each is used. */
#[OA\Schema]
final readonly class LabelsPage
{
    /** @param  list<LabelRow>  $labels */
    public function __construct(#[OA\Property(items: new OA\Items(ref: LabelRow::class))] public array $labels, #[OA\Property] public bool $mayRun)
    {
    }
}
