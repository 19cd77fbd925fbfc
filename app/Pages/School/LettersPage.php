<?php

declare(strict_types=1);

namespace App\Pages\School;

use App\Pages\Notices\PlaceholderRow;
use App\School\Letters\LetterKind;
use OpenApi\Attributes as OA;

/** The letters that the school writes by itself. */
#[OA\Schema]
final readonly class LettersPage
{
    /**
     * @param  list<LetterRow>  $letters
     * @param  list<PlaceholderRow>  $placeholders  of all of them
     * @param  string  $email  of whoever looks
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: LetterRow::class))] public array $letters,
        #[OA\Property(items: new OA\Items(ref: PlaceholderRow::class))] public array $placeholders,
        #[OA\Property(enum: LetterKind::class)] public string $open,
        #[OA\Property] public string $email,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}
