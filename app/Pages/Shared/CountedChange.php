<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use OpenApi\Attributes as OA;

/** What a change of the school would do, as far as it is counted. */
#[OA\Schema]
final readonly class CountedChange
{
    /**
     * @param  string  $told  of the change as a whole; empty: nothing
     * @param  list<ImpactLine>  $lines  whom it touches, course by course
     */
    public function __construct(#[OA\Property] public string $told, #[OA\Property(items: new OA\Items(ref: ImpactLine::class))] public array $lines)
    {
    }
}
