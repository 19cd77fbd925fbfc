<?php

declare(strict_types=1);

namespace App\Pages\People;

use OpenApi\Attributes as OA;

/** An act on many people: being prepared, waiting to be done, done, or taken back. */
#[OA\Schema]
final readonly class ActPage
{
    /**
     * @param  string  $told  what it does
     * @param  string  $state  preparing, prepared, done, undoing or refused
     * @param  int  $looked  at how many of those chosen it has looked
     * @param  int  $touched  to how many something happens
     * @param  list<ActOutcome>  $outcomes
     * @param  ?string  $problem  why it was not done, or not taken back
     * @param  ?string  $undone  when it was taken back
     * @param  bool  $stale  it was prepared too long ago to be done
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $told,
        #[OA\Property(enum: ['preparing', 'prepared', 'done', 'undoing', 'refused', 'left'])] public string $state,
        #[OA\Property] public int $looked,
        #[OA\Property] public int $of,
        #[OA\Property] public int $touched,
        #[OA\Property(items: new OA\Items(ref: ActOutcome::class))] public array $outcomes,
        #[OA\Property] public bool $canBeUndone,
        #[OA\Property] public ?string $problem,
        #[OA\Property] public ?string $actor,
        #[OA\Property] public string $made,
        #[OA\Property] public ?string $undone,
        #[OA\Property] public bool $stale,
    ) {
    }
}
