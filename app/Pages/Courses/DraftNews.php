<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** What happened to a draft since somebody looked at it. */
#[OA\Schema]
final readonly class DraftNews
{
    /**
     * @param  int  $version  the present one; 0 while there is no draft
     * @param  ?string  $who  the last one who edited, of others than the reader
     * @param  list<Sentence>  $sentences  some of what they set
     */
    public function __construct(
        #[OA\Property] public int $version,
        #[OA\Property] public ?string $who,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $sentences,
    ) {
    }
}
