<?php

declare(strict_types=1);

namespace App\Pages\Api\Courses;

use OpenApi\Attributes as OA;

/** Whether a plan document would be taken. */
#[OA\Schema]
final readonly class PlanChecked
{
    /** @param  list<PlanOffence>  $offences  empty where it is valid */
    public function __construct(#[OA\Property] public bool $valid, #[OA\Property(items: new OA\Items(ref: PlanOffence::class))] public array $offences)
    {
    }
}
