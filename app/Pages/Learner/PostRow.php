<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use OpenApi\Attributes as OA;

/** Something that was said. */
#[OA\Schema]
final readonly class PostRow
{
    /**
     * @param  string  $at  in words
     * @param  string  $instant  of $at, as RFC 3339 has it
     * @param  bool  $changed  since it was said
     * @param  bool  $taken  it was taken back; its place is left for what was answered
     * @param  bool  $answer  it answers what stands before it
     * @param  bool  $mayChange  this viewer may still change it
     * @param  bool  $mine  this viewer may take it away
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $who,
        #[OA\Property] public string $at,
        #[OA\Property] public string $text,
        #[OA\Property] public bool $mine,
        #[OA\Property] public bool $changed,
        #[OA\Property] public bool $taken,
        #[OA\Property] public bool $answer,
        #[OA\Property] public bool $mayChange,
        #[OA\Property] public string $instant,
    ) {
    }
}
