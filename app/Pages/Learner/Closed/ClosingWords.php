<?php

declare(strict_types=1);

namespace App\Pages\Learner\Closed;

use App\Pages\Learner\OtherCourse;
use OpenApi\Attributes as OA;

/** What stands at the end of a course that is over, or is given no more. */
#[OA\Schema]
final readonly class ClosingWords
{
    /**
     * @param  string  $text  one sentence
     * @param  ?string  $html  the school's own words beneath it, sanitised; null: it has none
     * @param  string  $signUp  how one asks to be told when it runs again: none, by a form, or by one's account
     * @param  list<OtherCourse>  $instead  other courses, which are given
     */
    public function __construct(
        #[OA\Property] public string $text,
        #[OA\Property] public ?string $html,
        #[OA\Property(enum: ['none', 'form', 'account'])] public string $signUp,
        #[OA\Property(items: new OA\Items(ref: OtherCourse::class))] public array $instead,
        #[OA\Property] public ?string $contactName,
        #[OA\Property] public ?string $contactEmail,
    ) {
    }
}
