<?php

declare(strict_types=1);

namespace App\Pages\Find;

use OpenApi\Attributes as OA;

/** Something that was looked for, and where it is. */
#[OA\Schema]
final readonly class FoundThing
{
    /**
     * @param  string  $kind  why, course, item, person, offer, label or do
     * @param  string  $id  of all that are found, this one's
     * @param  string  $note  what it is, or does
     * @param  ?string  $course  key, of an item and of a question
     * @param  ?string  $item  key, likewise
     * @param  ?int  $person  by number, likewise
     */
    public function __construct(
        #[OA\Property(enum: ['why', 'course', 'item', 'person', 'offer', 'label', 'do'])] public string $kind,
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public string $note,
        #[OA\Property] public string $href,
        #[OA\Property] public ?string $course = null,
        #[OA\Property] public ?string $item = null,
        #[OA\Property] public ?int $person = null,
    ) {
    }
}
