<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** Something that happened to somebody, and whose doing it was. */
#[OA\Schema]
final readonly class PastLine
{
    /** @param  ?string  $by  null: nobody's, as when a day comes */
    public function __construct(
        #[OA\Property] public Sentence $words,
        #[OA\Property] public ?string $by,
    ) {
    }
}
