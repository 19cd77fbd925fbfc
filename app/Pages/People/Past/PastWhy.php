<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use App\Sightlines\Why\Gate;
use App\Words\Glyph;
use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** Why a row was as it was. */
#[OA\Schema]
final readonly class PastWhy
{
    /**
     * @param  string  $word  the state in a word
     * @param  list<Gate>  $gates  in the order in which they were tried
     * @param  string  $rules  by which revision it was decided
     * @param  ?Sentence  $knownNow  what is known now and was not then; null: nothing that makes a difference
     */
    public function __construct(
        #[OA\Property(enum: Glyph::class)] public string $glyph,
        #[OA\Property] public bool $look,
        #[OA\Property] public string $word,
        #[OA\Property(items: new OA\Items(ref: Gate::class))] public array $gates,
        #[OA\Property] public string $rules,
        #[OA\Property] public ?Sentence $knownNow,
    ) {
    }
}
