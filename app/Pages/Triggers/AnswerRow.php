<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use OpenApi\Attributes as OA;

/** What somebody has sent by a form. */
#[OA\Schema]
final readonly class AnswerRow
{
    /** @param  list<string>  $answers  each with its question */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public ?int $person,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property] public bool $consents,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $answers,
        #[OA\Property] public string $when,
    ) {
    }
}
