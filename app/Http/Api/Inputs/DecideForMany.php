<?php

declare(strict_types=1);

namespace App\Http\Api\Inputs;

use OpenApi\Attributes as OA;

/** Asks what many people may see of one course: at most 10,000 decisions, one for each person and item. */
#[OA\Schema]
final readonly class DecideForMany
{
    /**
     * @param  string  $course  its key
     * @param  list<int>  $people  their ids; twice the same is once
     * @param  ?list<string>  $items  keys of those that are asked about; null or left out: all of the course
     * @param  ?string  $at  the instant; null or left out: now
     */
    public function __construct(
        #[OA\Property(minLength: 1, maxLength: 200)] public string $course,
        #[OA\Property(minItems: 1, maxItems: 10000, items: new OA\Items(type: 'integer', minimum: 1))] public array $people,
        #[OA\Property(minItems: 1, maxItems: 10000, items: new OA\Items(type: 'string', maxLength: 200))] public ?array $items = null,
        #[OA\Property(format: 'date-time')] public ?string $at = null,
    ) {
    }
}
