<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Models\Language;
use OpenApi\Attributes as OA;

/** Somebody's own account. */
#[OA\Schema]
final readonly class AccountPage
{
    /**
     * @param  bool  $confirmed  false: the link in the letter to this address was not used yet
     * @param  bool  $hasPassword  false: they sign in by links alone
     * @param  string  $language  that they have chosen; empty: that of the school
     * @param  list<LetterChoiceRow>  $letters  that the school writes
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property] public bool $confirmed,
        #[OA\Property] public bool $hasPassword,
        #[OA\Property] public bool $staff,
        #[OA\Property] public string $language,
        #[OA\Property(enum: Language::class)] public string $schoolLanguage,
        #[OA\Property(items: new OA\Items(ref: LetterChoiceRow::class))] public array $letters,
        #[OA\Property] public OwnData $own,
    ) {
    }
}
