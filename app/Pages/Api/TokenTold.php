<?php

declare(strict_types=1);

namespace App\Pages\Api;

use App\School\Tokens\Ability;
use OpenApi\Attributes as OA;

/** The token with which this is asked. */
#[OA\Schema]
final readonly class TokenTold
{
    /**
     * @param  list<string>  $abilities
     * @param  ?string  $ends  null: only when it is taken back
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property(items: new OA\Items(type: 'string', enum: Ability::class))] public array $abilities,
        #[OA\Property(format: 'date-time')] public ?string $ends,
    ) {
    }
}
