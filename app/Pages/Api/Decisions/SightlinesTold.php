<?php

declare(strict_types=1);

namespace App\Pages\Api\Decisions;

use OpenApi\Attributes as OA;

/** A course in the eyes of several viewers at an instant. */
#[OA\Schema]
final readonly class SightlinesTold
{
    /**
     * @param  string  $rules  which are looked at
     * @param  list<VantageSight>  $vantages
     * @param  list<string>  $missing  vantages that nobody stands at: a person or an offer that is not there
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property(format: 'date-time')] public string $at,
        #[OA\Property(enum: ['published', 'draft'])] public string $rules,
        #[OA\Property(items: new OA\Items(ref: VantageSight::class))] public array $vantages,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $missing,
    ) {
    }
}
