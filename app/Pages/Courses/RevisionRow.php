<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** One publication. */
#[OA\Schema]
final readonly class RevisionRow
{
    /**
     * @param  string  $publishedAt  in words
     * @param  string  $instant  of its publication, as RFC 3339 has it
     * @param  ?string  $author  null: the program itself
     * @param  list<Sentence>  $changes  to the one before
     */
    public function __construct(
        #[OA\Property] public int $number,
        #[OA\Property] public bool $live,
        #[OA\Property] public string $publishedAt,
        #[OA\Property] public ?string $author,
        #[OA\Property] public ?string $note,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $changes,
        #[OA\Property] public string $instant,
    ) {
    }
}
