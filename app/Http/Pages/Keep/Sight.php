<?php

declare(strict_types=1);

namespace App\Http\Pages\Keep;

use OpenApi\Attributes as OA;

/** What one row is to one vantage. */
#[OA\Schema]
final readonly class Sight
{
    /**
     * @param  string  $glyph  open, sample, later, locked, hidden or over
     * @param  bool  $look  may look but not work
     * @param  ?string  $word  a date, or what is waited for
     * @param  bool  $later  the word is the date of an opening
     * @param  ?string  $count  for modules: lessons open, of how many
     * @param  list<string>  $why  reason codes
     */
    public function __construct(
        #[OA\Property] public string $glyph,
        #[OA\Property] public bool $look,
        #[OA\Property] public ?string $word,
        #[OA\Property] public bool $later,
        #[OA\Property] public ?string $count,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $why,
    ) {
    }
}
