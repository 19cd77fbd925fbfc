<?php

declare(strict_types=1);

namespace App\Pages\School;

use OpenApi\Attributes as OA;

/** A letter that was sent. */
#[OA\Schema]
final readonly class SentLetter
{
    /**
     * @param  string  $from  name and address of the school
     * @param  bool  $again  whether it can be sent again
     * @param  int  $tries  how often it was tried
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public ?int $person,
        #[OA\Property] public string $to,
        #[OA\Property] public string $subject,
        #[OA\Property] public string $body,
        #[OA\Property] public string $when,
        #[OA\Property(enum: ['waiting', 'sent', 'failed', 'stopped'])] public string $state,
        #[OA\Property] public ?string $problem,
        #[OA\Property] public string $from,
        #[OA\Property] public bool $again,
        #[OA\Property] public int $tries,
    ) {
    }
}
