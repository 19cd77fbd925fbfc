<?php

declare(strict_types=1);

namespace App\Pages\Today;

use App\Words\Glyph;
use OpenApi\Attributes as OA;
use SilentKeep\Core\Foresight\TurnKind;

/** What opens, closes or ends on a day of the week. */
#[OA\Schema]
final readonly class AgendaEntry
{
    /**
     * @param  string  $title  of an item, or in words
     * @param  string  $time  on the clock; where it is not the same for all, from when
     * @param  ?string  $href  to where it is seen; null: nowhere
     */
    public function __construct(
        #[OA\Property(enum: TurnKind::class)] public string $kind,
        #[OA\Property(enum: Glyph::class)] public string $glyph,
        #[OA\Property] public string $title,
        #[OA\Property] public string $time,
        #[OA\Property] public int $people,
        #[OA\Property] public bool $past,
        #[OA\Property] public ?string $href,
    ) {
    }
}
