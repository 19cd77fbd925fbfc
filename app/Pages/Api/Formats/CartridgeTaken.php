<?php

declare(strict_types=1);

namespace App\Pages\Api\Formats;

use App\Pages\Api\Courses\CourseTold;
use OpenApi\Attributes as OA;

/** A course that was made of a cartridge. */
#[OA\Schema]
final readonly class CartridgeTaken
{
    /** @param  list<string>  $left  what could not be taken, in words */
    public function __construct(#[OA\Property] public CourseTold $course, #[OA\Property(items: new OA\Items(type: 'string'))] public array $left)
    {
    }
}
