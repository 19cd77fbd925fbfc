<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use OpenApi\Attributes as OA;

/** The forms of the school. */
#[OA\Schema]
final readonly class FormsPage
{
    /**
     * @param  list<FormRow>  $forms  by name
     * @param  ?int  $open  the one that is worked on
     * @param  list<AnswerRow>  $answers  to it, the latest first; none for who may not have them as a file either
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: FormRow::class))] public array $forms,
        #[OA\Property] public ?int $open,
        #[OA\Property(items: new OA\Items(ref: AnswerRow::class))] public array $answers,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}
