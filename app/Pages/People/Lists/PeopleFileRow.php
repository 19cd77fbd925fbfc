<?php

declare(strict_types=1);

namespace App\Pages\People\Lists;

use OpenApi\Attributes as OA;

/** A file of people that somebody asked for. */
#[OA\Schema]
final readonly class PeopleFileRow
{
    /**
     * @param  string  $query  whom it is of, as addresses have it
     * @param  int  $made  people whose lines are there
     * @param  int  $bytes  of what is there
     * @param  string  $when  it was finished, or asked for, in words
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $query,
        #[OA\Property(enum: ['making', 'ready', 'failed', 'gone'])] public string $state,
        #[OA\Property] public int $made,
        #[OA\Property] public int $of,
        #[OA\Property] public int $bytes,
        #[OA\Property] public string $when,
    ) {
    }
}
