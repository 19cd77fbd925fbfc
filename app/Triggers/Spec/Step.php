<?php

declare(strict_types=1);

namespace App\Triggers\Spec;

use OpenApi\Attributes as OA;

/** One thing that a trigger does. */
#[OA\Schema]
final readonly class Step
{
    /**
     * @param  ?string  $offer  key
     * @param  ?string  $course  key
     * @param  ?string  $item  key, of that course
     * @param  ?int  $days  null: for good
     * @param  ?int  $outside  number of a system of others
     */
    public function __construct(
        #[OA\Property(enum: StepKind::class)] public string $do,
        #[OA\Property] public ?string $offer = null,
        #[OA\Property] public ?string $course = null,
        #[OA\Property] public ?string $item = null,
        #[OA\Property] public ?string $label = null,
        #[OA\Property] public ?int $days = null,
        #[OA\Property] public ?string $subject = null,
        #[OA\Property] public ?string $body = null,
        #[OA\Property] public ?int $outside = null,
    ) {
    }

    public function kind(): StepKind
    {
        return StepKind::from($this->do);
    }
}
