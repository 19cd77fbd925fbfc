<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Models\Role;
use OpenApi\Attributes as OA;

/** Who is signed in. */
#[OA\Schema]
final readonly class SignedIn
{
    /**
     * @param  bool  $staff  of the school
     * @param  bool  $runs  runs it: an administrator
     * @param  ?string  $role  null: none
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public bool $staff,
        #[OA\Property] public bool $runs,
        #[OA\Property(enum: Role::class)] public ?string $role,
    ) {
    }
}
