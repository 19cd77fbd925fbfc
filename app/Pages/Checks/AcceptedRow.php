<?php

declare(strict_types=1);

namespace App\Pages\Checks;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** A finding that somebody has said is meant so. */
#[OA\Schema]
final readonly class AcceptedRow
{
    /**
     * @param  ?string  $by  a name; null: not known any more
     * @param  string  $when  in words
     * @param  string  $at  RFC 3339
     */
    public function __construct(
        #[OA\Property] public string $subject,
        #[OA\Property] public Sentence $what,
        #[OA\Property] public string $reason,
        #[OA\Property] public ?string $by,
        #[OA\Property] public string $when,
        #[OA\Property] public string $at,
    ) {
    }
}
