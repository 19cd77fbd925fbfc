<?php

declare(strict_types=1);

namespace App\Pages\People\Data;

use OpenApi\Attributes as OA;

/** All that is kept of somebody, and what can be done about it. */
#[OA\Schema]
final readonly class PersonDataPage
{
    /**
     * @param  list<HeldLine>  $held
     * @param  ?string  $refused  why they cannot be erased as they are
     * @param  list<string>  $pays  names of what they pay for again and again
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property(items: new OA\Items(ref: HeldLine::class))] public array $held,
        #[OA\Property] public ?string $refused,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $pays,
        #[OA\Property] public ?ErasedTold $erased,
    ) {
    }
}
