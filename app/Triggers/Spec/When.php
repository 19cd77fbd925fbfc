<?php

declare(strict_types=1);

namespace App\Triggers\Spec;

use OpenApi\Attributes as OA;

/** What sets a trigger off. */
#[OA\Schema]
final readonly class When
{
    /**
     * @param  ?string  $offer  key; null: any
     * @param  ?string  $course  key
     * @param  ?string  $item  key, of that course
     * @param  ?int  $days  before a pass ends, or since somebody first looked
     * @param  ?int  $form  number of one
     * @param  ?int  $system  number of one of others
     * @param  ?string  $type  of its event
     * @param  ?int  $from  percent of a quiz, from which on
     * @param  ?int  $to  percent, below which; 101: to all of it
     * @param  ?string  $band  of the results of a quiz, by its name, instead of percents
     */
    public function __construct(
        #[OA\Property(enum: EventKind::class)] public string $event,
        #[OA\Property] public ?string $offer = null,
        #[OA\Property] public ?string $course = null,
        #[OA\Property] public ?string $item = null,
        #[OA\Property] public ?string $label = null,
        #[OA\Property] public ?int $days = null,
        #[OA\Property] public ?int $from = null,
        #[OA\Property] public ?int $to = null,
        #[OA\Property] public ?int $form = null,
        #[OA\Property] public ?int $system = null,
        #[OA\Property] public ?string $type = null,
        #[OA\Property] public ?string $band = null,
    ) {
    }

    public function kind(): EventKind
    {
        return EventKind::from($this->event);
    }
}
