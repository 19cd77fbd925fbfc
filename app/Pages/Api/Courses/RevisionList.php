<?php

declare(strict_types=1);

namespace App\Pages\Api\Courses;

use OpenApi\Attributes as OA;

/** Publications of a course, the first one first. */
#[OA\Schema]
final readonly class RevisionList
{
    /**
     * @param  list<RevisionTold>  $items
     * @param  ?string  $next  cursor of what follows; null: that was all
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: RevisionTold::class))] public array $items,
        #[OA\Property] public ?string $next,
    ) {
    }
}
