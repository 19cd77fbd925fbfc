<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use OpenApi\Attributes as OA;

/** Asks whether somebody is to get no more letters of a kind; reached from such a letter. */
#[OA\Schema]
final readonly class StopLettersPage
{
    /**
     * @param  string  $title  of the kind
     * @param  string  $told  when it is written
     * @param  bool  $any  whether they want any letters at all
     */
    public function __construct(
        #[OA\Property] public string $title,
        #[OA\Property] public string $told,
        #[OA\Property] public bool $wanted,
        #[OA\Property] public bool $any,
    ) {
    }
}
