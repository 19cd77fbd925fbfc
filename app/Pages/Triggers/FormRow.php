<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use OpenApi\Attributes as OA;

/** A form, with what was answered of late. */
#[OA\Schema]
final readonly class FormRow
{
    /**
     * @param  string  $address  of its public page
     * @param  list<FormQuestion>  $questions
     * @param  int  $sent  how often in all
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $version,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $on,
        #[OA\Property] public string $address,
        #[OA\Property] public string $text,
        #[OA\Property] public string $consent,
        #[OA\Property(items: new OA\Items(ref: FormQuestion::class))] public array $questions,
        #[OA\Property] public string $thanks,
        #[OA\Property] public int $sent,
    ) {
    }
}
