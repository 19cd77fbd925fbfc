<?php

declare(strict_types=1);

namespace App\Pages\Numbers;

use OpenApi\Attributes as OA;

/** How many were where at an instant. */
#[OA\Schema]
final readonly class WhereRow
{
    /**
     * @param  string  $when  short, for an axis
     * @param  list<int>  $people  by place
     */
    public function __construct(#[OA\Property] public string $when, #[OA\Property(items: new OA\Items(type: 'integer'))] public array $people)
    {
    }
}
