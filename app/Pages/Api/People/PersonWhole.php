<?php

declare(strict_types=1);

namespace App\Pages\Api\People;

use OpenApi\Attributes as OA;

/** Somebody, with all that decides what they may see. */
#[OA\Schema]
final readonly class PersonWhole
{
    /**
     * @param  list<LabelTold>  $labels  that they have now
     * @param  list<PassTold>  $passes  that they hold or held, as they were given
     * @param  list<GrantTold>  $grants  likewise
     * @param  list<CompletionTold>  $completions  the earliest first
     */
    public function __construct(
        #[OA\Property] public PersonTold $person,
        #[OA\Property(items: new OA\Items(ref: LabelTold::class))] public array $labels,
        #[OA\Property(items: new OA\Items(ref: PassTold::class))] public array $passes,
        #[OA\Property(items: new OA\Items(ref: GrantTold::class))] public array $grants,
        #[OA\Property(items: new OA\Items(ref: CompletionTold::class))] public array $completions,
    ) {
    }
}
