<?php

declare(strict_types=1);

namespace App\Pages\Rehearsal;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** What was tried in the draft of a course and given up within the last day. */
#[OA\Schema]
final readonly class GivenUpRow
{
    /**
     * @param  string  $words  how, when and by whom
     * @param  list<Sentence>  $changes  what it would change of what is live
     * @param  bool  $fits  nothing else has been published since
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $words,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $changes,
        #[OA\Property] public bool $fits,
    ) {
    }
}
