<?php

declare(strict_types=1);

namespace App\Http\Api\Inputs;

use OpenApi\Attributes as OA;

/** Makes the draft live, now or at a set time. */
#[OA\Schema]
final readonly class Publish
{
    /**
     * @param  int  $version  of the draft that you have read
     * @param  ?string  $receipt  of its rehearsal; needed where it takes something from people
     * @param  ?string  $note  for its history
     * @param  ?string  $at  when it is to go live by itself; null or left out: at once
     */
    public function __construct(
        #[OA\Property(minimum: 0, maximum: 2147483647)] public int $version,
        #[OA\Property(maxLength: 100)] public ?string $receipt = null,
        #[OA\Property(maxLength: 200)] public ?string $note = null,
        #[OA\Property(format: 'date-time')] public ?string $at = null,
    ) {
    }
}
