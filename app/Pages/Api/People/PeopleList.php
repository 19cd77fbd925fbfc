<?php

declare(strict_types=1);

namespace App\Pages\Api\People;

use OpenApi\Attributes as OA;

/** People, in the order in which they came. */
#[OA\Schema]
final readonly class PeopleList
{
    /**
     * @param  list<PersonTold>  $items
     * @param  ?string  $next  cursor of what follows; null: that was all
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: PersonTold::class))] public array $items,
        #[OA\Property] public ?string $next,
    ) {
    }
}
