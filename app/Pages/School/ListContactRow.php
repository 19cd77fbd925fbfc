<?php

declare(strict_types=1);

namespace App\Pages\School;

use OpenApi\Attributes as OA;

/** Somebody on the mailing list, with all the labels that they are there under. */
#[OA\Schema]
final readonly class ListContactRow
{
    /**
     * @param  list<string>  $labels
     * @param  string  $since  when they were added first
     * @param  string  $source  what added them last
     */
    public function __construct(
        #[OA\Property] public int $person,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $labels,
        #[OA\Property] public string $since,
        #[OA\Property] public string $source,
    ) {
    }
}
