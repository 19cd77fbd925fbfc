<?php

declare(strict_types=1);

namespace App\Pages\Api\Decisions;

use OpenApi\Attributes as OA;

/** What many people may see of a course at an instant. */
#[OA\Schema]
final readonly class ManyDecisions
{
    /**
     * @param  list<int>  $missing  ids of nobody
     * @param  iterable<PersonDecisions>  $people  by their ids
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property(format: 'date-time')] public string $at,
        #[OA\Property(items: new OA\Items(type: 'integer'))] public array $missing,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PersonDecisions::class))] public iterable $people,
    ) {
    }
}
