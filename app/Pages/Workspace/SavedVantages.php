<?php

declare(strict_types=1);

namespace App\Pages\Workspace;

use OpenApi\Attributes as OA;

/** Vantages under a name, of the one who reads. */
#[OA\Schema]
final readonly class SavedVantages
{
    /** @param  list<string>  $vantages  as addresses name them */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $vantages,
    ) {
    }
}
