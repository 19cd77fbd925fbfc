<?php

declare(strict_types=1);

namespace App\Pages\Offers;

use OpenApi\Attributes as OA;

/** What learners would reach in the days of a trial. */
#[OA\Schema]
final readonly class TrialPreview
{
    /**
     * @param  list<string>  $lazy  titles of the lessons open to one who finishes nothing
     * @param  list<string>  $diligent  those that one who finishes all at once reaches besides
     * @param  int  $lessons  that there are
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $lazy,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $diligent,
        #[OA\Property] public int $lessons,
        #[OA\Property] public string $until,
    ) {
    }
}
