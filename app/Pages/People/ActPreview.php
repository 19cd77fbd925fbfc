<?php

declare(strict_types=1);

namespace App\Pages\People;

use OpenApi\Attributes as OA;

/** What an act would do, to how many. */
#[OA\Schema]
final readonly class ActPreview
{
    /**
     * @param  bool  $long  so many people that what it would do to each is looked at by the queue first
     * @param  list<ActOutcome>  $outcomes  none where it is long
     */
    public function __construct(
        #[OA\Property] public string $told,
        #[OA\Property] public int $people,
        #[OA\Property] public bool $canBeUndone,
        #[OA\Property] public bool $long,
        #[OA\Property(items: new OA\Items(ref: ActOutcome::class))] public array $outcomes,
    ) {
    }
}
