<?php

declare(strict_types=1);

namespace App\Pages\Numbers;

use OpenApi\Attributes as OA;

/** What opens in a week. */
#[OA\Schema]
final readonly class OpensRow
{
    /**
     * @param  string  $when  the day on which it begins, short, for an axis
     * @param  int  $people  for whom anything opens
     * @param  int  $openings  how much opens for all of them together
     */
    public function __construct(#[OA\Property] public string $when, #[OA\Property] public int $people, #[OA\Property] public int $openings)
    {
    }
}
