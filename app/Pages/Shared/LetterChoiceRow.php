<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Models\Person;
use App\School\Letters\LetterChoices;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterTexts;
use App\School\Letters\SettledLetter;
use OpenApi\Attributes as OA;

/** A kind of letter, and whether somebody wants it. */
#[OA\Schema]
final readonly class LetterChoiceRow
{
    public function __construct(
        #[OA\Property(enum: LetterKind::class)] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $told,
        #[OA\Property] public bool $wanted,
    ) {
    }

    /** @return list<self> of the kinds that the school writes, but for what is written once and for all; in words to that person */
    public static function of(Person $person, LetterTexts $texts, LetterChoices $choices): array
    {
        $wanted = $choices->of($person);
        $kinds = array_map(static fn (SettledLetter $letter): LetterKind => $letter->kind, array_filter($texts->all(), static fn (SettledLetter $letter): bool => $letter->on && $letter->kind !== LetterKind::Welcome));

        return array_map(static fn (LetterKind $kind): self => new self($kind->value, ...$kind->toYou(), wanted: $wanted[$kind->value]), [...array_values($kinds), LetterKind::ByHand]);
    }
}
