<?php

declare(strict_types=1);

namespace App\Access\Shelf;

use OpenApi\Attributes as OA;

/** A course to be picked, and what is in it. */
#[OA\Schema]
final readonly class CoursePick
{
    /**
     * @param  list<OutlineRow>  $rows  of what is published; empty where they are not asked for
     * @param  list<OutlineRow>  $waiting  that are in the draft alone, likewise
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property(items: new OA\Items(ref: OutlineRow::class))] public array $rows = [],
        #[OA\Property(items: new OA\Items(ref: OutlineRow::class))] public array $waiting = [],
    ) {
    }
}
