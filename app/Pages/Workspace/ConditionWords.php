<?php

declare(strict_types=1);

namespace App\Pages\Workspace;

use OpenApi\Attributes as OA;

/** A condition that is being built, read back. */
#[OA\Schema]
final readonly class ConditionWords
{
    /**
     * @param  string  $words  as a sentence
     * @param  array<string, string>  $errors  what is wrong, by the part of the condition: `only.all.1.label`
     */
    public function __construct(
        #[OA\Property] public string $words,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))] public array $errors,
    ) {
    }
}
