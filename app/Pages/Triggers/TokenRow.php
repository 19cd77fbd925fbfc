<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use App\School\Tokens\Ability;
use OpenApi\Attributes as OA;

/** A token with which a system of others may ask. What it is is told once, when it is made. */
#[OA\Schema]
final readonly class TokenRow
{
    /**
     * @param  list<string>  $abilities
     * @param  string  $owner  name of whoever made it
     * @param  string  $made  when
     * @param  ?string  $until  its last day; null: only until it is taken back
     * @param  bool  $over  whether it has ended
     * @param  ?string  $used  when it was last asked with, to ten minutes
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property(items: new OA\Items(type: 'string', enum: Ability::class))] public array $abilities,
        #[OA\Property] public string $owner,
        #[OA\Property] public string $made,
        #[OA\Property] public ?string $until,
        #[OA\Property] public bool $over,
        #[OA\Property] public ?string $used,
    ) {
    }
}
