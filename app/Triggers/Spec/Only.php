<?php

declare(strict_types=1);

namespace App\Triggers\Spec;

use OpenApi\Attributes as OA;

/** Of whom else it must be so, at the moment at which it is done. */
#[OA\Schema]
final readonly class Only
{
    public const ROWS = ['done', 'not-done', 'open', 'not-open'];

    /**
     * @param  ?string  $label  that they have
     * @param  ?string  $notLabel  that they do not have
     * @param  ?string  $holds  key of an offer of which they hold a pass that is in force
     * @param  ?string  $notHolds  key of an offer of which they hold none
     * @param  ?string  $holdsCourse  key of a course of which they hold a pass that is in force
     * @param  ?string  $row  what is so of a row: done, not-done, open or not-open; null: nothing is asked of one
     * @param  ?string  $course  key of that of the row
     * @param  ?string  $item  key of the row
     */
    public function __construct(
        #[OA\Property] public ?string $label = null,
        #[OA\Property] public ?string $notLabel = null,
        #[OA\Property] public ?string $holds = null,
        #[OA\Property] public ?string $notHolds = null,
        #[OA\Property] public ?string $holdsCourse = null,
        #[OA\Property(type: 'string', enum: self::ROWS, nullable: true)] public ?string $row = null,
        #[OA\Property] public ?string $course = null,
        #[OA\Property] public ?string $item = null,
    ) {
    }

    public function isOpen(): bool
    {
        return $this->label === null && $this->notLabel === null && $this->holds === null && $this->notHolds === null && $this->holdsCourse === null && $this->row === null;
    }
}
