<?php

declare(strict_types=1);

namespace App\Pages\Api\People;

use OpenApi\Attributes as OA;

/** What was done to people. */
#[OA\Schema]
final readonly class ActTold
{
    /**
     * @param  ?int  $id  by which it can be taken back; null: nothing was done
     * @param  string  $told  what, in words
     * @param  int  $touched  to how many something happened
     */
    public function __construct(#[OA\Property] public ?int $id, #[OA\Property] public string $told, #[OA\Property] public int $touched)
    {
    }
}
