<?php

declare(strict_types=1);

namespace App\Learning;

use App\Words\Glyph;
use App\Words\Sentence;
use OpenApi\Attributes as OA;
use SilentKeep\Core\Outline\Kind;

/** An item as far as this viewer may know of it. */
#[OA\Schema]
final readonly class PathRow
{
    /**
     * @param  bool  $open  can be entered
     * @param  bool  $later  only waits for a date
     * @param  bool  $optional  it, or what it stands in: nobody is held up by it
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property(enum: Kind::class)] public string $kind,
        #[OA\Property] public int $depth,
        #[OA\Property(enum: Glyph::class)] public string $glyph,
        #[OA\Property] public bool $look,
        #[OA\Property] public bool $open,
        #[OA\Property] public bool $finished,
        #[OA\Property] public bool $later,
        #[OA\Property] public bool $optional,
        #[OA\Property] public Sentence $status,
    ) {
    }
}
