<?php

declare(strict_types=1);

namespace App\Pages\Labels;

use OpenApi\Attributes as OA;

/** A label of the school. */
#[OA\Schema]
final readonly class LabelRow
{
    /**
     * @param  int  $people  who have it now
     * @param  list<LabelUseRow>  $givenBy
     * @param  list<LabelUseRow>  $askedBy
     * @param  int  $more  places that are not listed, unless this label is asked about
     */
    public function __construct(
        #[OA\Property] public string $label,
        #[OA\Property] public int $people,
        #[OA\Property(items: new OA\Items(ref: LabelUseRow::class))] public array $givenBy,
        #[OA\Property(items: new OA\Items(ref: LabelUseRow::class))] public array $askedBy,
        #[OA\Property] public int $more,
    ) {
    }
}
