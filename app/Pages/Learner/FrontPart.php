<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use OpenApi\Attributes as OA;

/** Which of very many courses are shown, and where the others are. */
#[OA\Schema]
final readonly class FrontPart
{
    /**
     * @param  string  $subject  to which the courses are narrowed; empty: all
     * @param  string  $told  which they are, of how many
     * @param  ?string  $earlier  address of those before; null: these are the first
     * @param  ?string  $later  address of those after; null: these are the last
     */
    public function __construct(
        #[OA\Property] public string $subject,
        #[OA\Property] public string $told,
        #[OA\Property] public ?string $earlier,
        #[OA\Property] public string $earlierWords,
        #[OA\Property] public ?string $later,
        #[OA\Property] public string $laterWords,
    ) {
    }
}
