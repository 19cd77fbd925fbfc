<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use OpenApi\Attributes as OA;

/** One rule in words. */
#[OA\Schema]
final readonly class RuleCell implements \JsonSerializable
{
    /**
     * @param  bool  $own  set here, not inherited and not by default
     * @param  ?string  $vain  why a value of its own has no effect
     * @param  bool  $edited  differs from what is published
     */
    public function __construct(
        #[OA\Property] public string $words,
        #[OA\Property(x: ['optional' => true])] public bool $own,
        #[OA\Property(x: ['optional' => true])] public bool $edited,
        #[OA\Property(x: ['optional' => true])] public ?string $vain = null,
    ) {
    }

    /** @return array<string, mixed> without what is false or null, which it is in most of a thousand cells */
    public function jsonSerialize(): array
    {
        return array_filter(get_object_vars($this), static fn (mixed $value): bool => $value !== false && $value !== null);
    }
}
