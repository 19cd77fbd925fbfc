<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use OpenApi\Attributes as OA;

/** Another course that is put before the readers of a page, as it is worked on. */
#[OA\Schema]
final readonly class RelatedForm
{
    /**
     * @param  string  $item  key of the lesson; empty: the page of the course
     * @param  string  $other  key of the course that is offered; empty: none is
     * @param  string  $picture  what stands for it; empty: none
     * @param  int  $version  0: there is none
     * @param  ?string  $finding  why nobody is offered it now
     */
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $other,
        #[OA\Property] public string $heading,
        #[OA\Property] public string $text,
        #[OA\Property] public string $button,
        #[OA\Property] public string $picture,
        #[OA\Property] public int $version,
        #[OA\Property] public ?string $finding,
    ) {
    }
}
