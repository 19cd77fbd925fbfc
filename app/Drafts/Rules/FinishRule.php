<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Rules\FinishedBy;

/** How a lesson or part is finished. */
#[OA\Schema]
final readonly class FinishRule implements \JsonSerializable
{
    /**
     * @param  string  $by  mark, visit, watch or quiz
     * @param  ?float  $percent  of the video, or of the score
     * @param  string  $words  "by watching 90 % of its video"
     * @param  bool  $edited  differs from what is published
     */
    public function __construct(
        #[OA\Property(enum: FinishedBy::class)] public string $by,
        #[OA\Property(x: ['optional' => true])] public ?float $percent,
        #[OA\Property] public string $words,
        #[OA\Property(x: ['optional' => true])] public bool $edited,
    ) {
    }

    /** @return array<string, mixed> without what is not set */
    public function jsonSerialize(): array
    {
        return array_filter(get_object_vars($this), static fn (mixed $value): bool => $value !== null && $value !== false);
    }
}
