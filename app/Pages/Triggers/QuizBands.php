<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use OpenApi\Attributes as OA;

/** What the results of a quiz are called. */
#[OA\Schema]
final readonly class QuizBands
{
    /** @param  list<string>  $names  the lowest first */
    public function __construct(#[OA\Property] public string $course, #[OA\Property] public string $item, #[OA\Property(items: new OA\Items(type: 'string'))] public array $names)
    {
    }
}
