<?php

declare(strict_types=1);

namespace App\Pages\Guide;

use OpenApi\Attributes as OA;

/** The guide for administrators, as it stands in docs/guide. */
#[OA\Schema]
final readonly class GuidePage
{
    /** @param  list<GuideChapter>  $chapters */
    public function __construct(#[OA\Property] public string $html, #[OA\Property(items: new OA\Items(ref: GuideChapter::class))] public array $chapters)
    {
    }
}
