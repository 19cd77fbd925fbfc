<?php

declare(strict_types=1);

namespace App\Access\Shelf;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Outline\Kind;

/** A row of the grid: the same in every lens. */
#[OA\Schema]
final readonly class OutlineRow implements \JsonSerializable
{
    /**
     * @param  string  $kind  module, lesson, part or board
     * @param  int  $depth  0 at the top
     * @param  bool  $draft  itself, or what it stands in
     * @param  ?string  $told  what is set for it, in words by which it is found; null: nothing, or not asked for
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property(enum: Kind::class)] public string $kind,
        #[OA\Property] public int $depth,
        #[OA\Property] public bool $draft,
        #[OA\Property(x: ['optional' => true])] public ?string $told = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return array_filter(get_object_vars($this), static fn (mixed $value): bool => $value !== null);
    }
}
