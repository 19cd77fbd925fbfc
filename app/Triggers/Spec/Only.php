<?php

declare(strict_types=1);

namespace App\Triggers\Spec;

use OpenApi\Attributes as OA;

/** Of whom else it must be so, at the moment at which it is done. */
#[OA\Schema]
final readonly class Only
{
    /**
     * @param  ?string  $label  that they have
     * @param  ?string  $notLabel  that they do not have
     * @param  ?string  $holds  key of an offer of which they hold a pass that is in force
     * @param  ?string  $notHolds  key of an offer of which they hold none
     */
    public function __construct(
        #[OA\Property] public ?string $label = null,
        #[OA\Property] public ?string $notLabel = null,
        #[OA\Property] public ?string $holds = null,
        #[OA\Property] public ?string $notHolds = null,
    ) {
    }

    public function isOpen(): bool
    {
        return $this->label === null && $this->notLabel === null && $this->holds === null && $this->notHolds === null;
    }
}
