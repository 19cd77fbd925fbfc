<?php

declare(strict_types=1);

namespace App\Http\Api\Inputs;

use OpenApi\Attributes as OA;

/** A plan document, `silent-keep.plan/1`. Its whole format is a JSON Schema of its own, at /interface/plan.schema.json. */
#[OA\Schema]
final readonly class Plan
{
    /**
     * @param  object  $school  zone, and whether it lets guests in
     * @param  list<object>  $offers
     * @param  list<object>  $courses
     */
    public function __construct(
        #[OA\Property(enum: ['silent-keep.plan/1'])] public string $format,
        #[OA\Property(type: 'object')] public object $school,
        #[OA\Property(items: new OA\Items(type: 'object'))] public array $offers,
        #[OA\Property(items: new OA\Items(type: 'object'))] public array $courses,
    ) {
    }
}
