<?php

declare(strict_types=1);

namespace App\Pages\Api\Events;

use OpenApi\Attributes as OA;

/** Events, the first one first. */
#[OA\Schema]
final readonly class EventList
{
    /**
     * @param  list<EventTold>  $items
     * @param  ?string  $next  cursor of what follows; null: that was all
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: EventTold::class))] public array $items,
        #[OA\Property] public ?string $next,
    ) {
    }
}
