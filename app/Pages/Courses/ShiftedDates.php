<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use OpenApi\Attributes as OA;

/** Where the dates of a course would go. */
#[OA\Schema]
final readonly class ShiftedDates
{
    /**
     * @param  int  $days  by which all of them move; negative: back
     * @param  string  $first  the first of them then, in words
     * @param  int  $skipped  days by which the last of them goes further, for holidays
     * @param  list<ShiftedDate>  $dates  the earliest first
     */
    public function __construct(#[OA\Property] public int $days, #[OA\Property] public string $first, #[OA\Property] public int $skipped, #[OA\Property(items: new OA\Items(ref: ShiftedDate::class))] public array $dates)
    {
    }
}
