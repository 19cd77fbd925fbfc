<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use App\Models\Document\DocumentTime;
use OpenApi\Attributes as OA;
use SilentKeep\Core\Rules\OpeningKind;

/** An opening rule as it is edited. */
#[OA\Schema]
final readonly class OpeningRule
{
    /**
     * @param  string  $rule  as the plan format names it
     * @param  ?string  $at  wall-clock time in the school's zone
     * @param  ?string  $time  HH:MM
     * @param  ?int  $weekday  Monday is 1
     */
    public function __construct(
        #[OA\Property(enum: OpeningKind::class)] public string $rule,
        #[OA\Property] public ?string $at,
        #[OA\Property] public ?int $days,
        #[OA\Property] public ?string $time,
        #[OA\Property] public ?int $weekday,
    ) {
    }

    public static function of(DocumentTime $opening): self
    {
        return new self($opening->rule(), $opening->at(), $opening->days(), $opening->time(), $opening->weekday());
    }
}
