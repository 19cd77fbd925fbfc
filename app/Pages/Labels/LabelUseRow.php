<?php

declare(strict_types=1);

namespace App\Pages\Labels;

use OpenApi\Attributes as OA;

/** A place that names a label. */
#[OA\Schema]
final readonly class LabelUseRow
{
    /** @param  string  $href  of the page where it is set */
    public function __construct(#[OA\Property] public string $text, #[OA\Property] public string $href)
    {
    }
}
