<?php

declare(strict_types=1);

namespace App\Http\Pages\Keep;

use OpenApi\Attributes as OA;

/** One rule in words. */
#[OA\Schema]
final readonly class RuleCell
{
    /**
     * @param  bool  $own  set here, not inherited and not by default
     * @param  ?string  $vain  why a value of its own has no effect
     * @param  bool  $edited  differs from what is published
     */
    public function __construct(
        #[OA\Property] public string $words,
        #[OA\Property] public bool $own,
        #[OA\Property] public bool $edited,
        #[OA\Property] public ?string $vain = null,
    ) {
    }
}
