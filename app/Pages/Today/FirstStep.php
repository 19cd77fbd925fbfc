<?php

declare(strict_types=1);

namespace App\Pages\Today;

use OpenApi\Attributes as OA;

/** One step on the way to a course that a visitor can look at. */
#[OA\Schema]
final readonly class FirstStep
{
    /**
     * @param  string  $told  how it is done
     * @param  ?string  $href  where; null: another step comes first
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public string $told,
        #[OA\Property] public string $go,
        #[OA\Property] public ?string $href,
        #[OA\Property] public bool $done,
    ) {
    }
}
