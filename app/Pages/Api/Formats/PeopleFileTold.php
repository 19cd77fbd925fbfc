<?php

declare(strict_types=1);

namespace App\Pages\Api\Formats;

use App\Models\PeopleFile;
use OpenApi\Attributes as OA;

/** A file of people, made in the queue. */
#[OA\Schema]
final readonly class PeopleFileTold
{
    /**
     * @param  string  $state  making, ready, failed, or gone: somebody was erased, who may have been in it
     * @param  int  $made  people whose lines are there
     * @param  int  $of  how many there are to be
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: ['making', 'ready', 'failed', 'gone'])] public string $state,
        #[OA\Property] public int $made,
        #[OA\Property] public int $of,
    ) {
    }

    public static function of(PeopleFile $file): self
    {
        return new self($file->id, $file->state, $file->made, $file->of);
    }
}
