<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** What the last action did. */
#[OA\Schema]
final readonly class Flash
{
    /**
     * @param  string  $kind  done, refused, asks or collision
     * @param  list<Sentence>  $lines
     * @param  ?int  $undo  number of what was done to people, where it can be taken back
     * @param  list<Sentence>  $mine  in a collision: what was not saved
     */
    public function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property] public string $text,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $lines,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $mine = [],
        #[OA\Property(x: ['optional' => true])] public ?int $undo = null,
    ) {
    }
}
