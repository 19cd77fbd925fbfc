<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Notices\Parts\Part;
use OpenApi\Attributes as OA;

/** Words of a notice, to be copied from. */
#[OA\Schema]
final readonly class CopiedNotice
{
    /**
     * @param  string  $name  of which there is no other
     * @param  string  $from  where they stand, in words
     * @param  list<Part>  $parts
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $from,
        #[OA\Property] public string $heading,
        #[OA\Property] public string $text,
        #[OA\Property(items: new OA\Items(ref: Part::class))] public array $parts,
    ) {
    }
}
