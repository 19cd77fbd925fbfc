<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use OpenApi\Attributes as OA;

/** What can be done to a real person so that an item opens to them, as it is asked for. */
#[OA\Schema]
final readonly class FixByAct
{
    /**
     * @param  string  $do  as acts on people are named
     * @param  list<string>  $items  where it is done with several
     * @param  bool  $toLearner  it is done to whom the viewer looks in on, not to the viewer
     */
    public function __construct(
        #[OA\Property] public string $do,
        #[OA\Property] public string $button,
        #[OA\Property] public ?string $course = null,
        #[OA\Property] public ?string $item = null,
        #[OA\Property] public ?string $offer = null,
        #[OA\Property] public ?string $label = null,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $items = [],
        #[OA\Property] public bool $toLearner = false,
    ) {
    }
}
