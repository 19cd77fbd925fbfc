<?php

declare(strict_types=1);

namespace App\Http\Api\Inputs;

use OpenApi\Attributes as OA;

/** Somebody who is brought in, and sent a link to sign in. */
#[OA\Schema]
final readonly class NewPerson
{
    /**
     * @param  list<string>  $labels  that they are given for good
     * @param  ?string  $offer  key of the one that they get a pass by
     * @param  ?string  $from  beginning of that pass; null or left out: now
     */
    public function __construct(
        #[OA\Property(minLength: 1, maxLength: 200)] public string $name,
        #[OA\Property(format: 'email', minLength: 3, maxLength: 190)] public string $email,
        #[OA\Property(maxItems: 50, uniqueItems: true, items: new OA\Items(type: 'string', pattern: '^[^,]*[^,\s][^,]*$', minLength: 1, maxLength: 60))] public array $labels = [],
        #[OA\Property(minLength: 1, maxLength: 200)] public ?string $offer = null,
        #[OA\Property(format: 'date-time')] public ?string $from = null,
    ) {
    }
}
