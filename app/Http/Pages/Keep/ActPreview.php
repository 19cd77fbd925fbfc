<?php

declare(strict_types=1);

namespace App\Http\Pages\Keep;

use OpenApi\Attributes as OA;

/** What an act would do, to how many. */
#[OA\Schema]
final readonly class ActPreview
{
    /** @param  list<ActOutcome>  $outcomes */
    public function __construct(
        #[OA\Property] public string $told,
        #[OA\Property] public int $people,
        #[OA\Property] public bool $canBeUndone,
        #[OA\Property(items: new OA\Items(ref: ActOutcome::class))] public array $outcomes,
    ) {
    }
}
