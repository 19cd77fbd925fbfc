<?php

declare(strict_types=1);

namespace App\Pages\Changed;

use OpenApi\Attributes as OA;

/** Somebody for whom something became otherwise. */
#[OA\Schema]
final readonly class ChangedPerson
{
    /** @param  ?int  $with  of an observer: whom they look in on */
    public function __construct(#[OA\Property] public int $id, #[OA\Property] public string $name, #[OA\Property] public ?int $with)
    {
    }
}
