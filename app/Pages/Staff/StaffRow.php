<?php

declare(strict_types=1);

namespace App\Pages\Staff;

use App\Models\Role;
use OpenApi\Attributes as OA;

/** Somebody who works for the school. */
#[OA\Schema]
final readonly class StaffRow
{
    /**
     * @param  list<string>  $courses  keys of those that they edit, where they edit some
     * @param  ?string  $seen  when they were last here
     * @param  bool  $self  whether it is whoever looks
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property(enum: Role::class)] public string $role,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $courses,
        #[OA\Property] public ?string $seen,
        #[OA\Property] public bool $self,
    ) {
    }
}
