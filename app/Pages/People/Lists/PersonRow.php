<?php

declare(strict_types=1);

namespace App\Pages\People\Lists;

use App\Models\Role;
use OpenApi\Attributes as OA;

/** Somebody in the list of people. */
#[OA\Schema]
final readonly class PersonRow
{
    /**
     * @param  list<string>  $passes  what they hold, in words
     * @param  list<string>  $labels
     * @param  ?string  $progress  in the course that is asked for, or in those they hold passes of
     * @param  ?string  $seen  when they were last here, in words
     * @param  ?string  $seenInstant  the same, as RFC 3339 has it
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property(enum: Role::class)] public ?string $role,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $passes,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $labels,
        #[OA\Property] public ?string $progress,
        #[OA\Property] public ?string $seen,
        #[OA\Property] public ?string $seenInstant,
    ) {
    }
}
