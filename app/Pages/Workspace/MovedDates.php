<?php

declare(strict_types=1);

namespace App\Pages\Workspace;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** What an edit would do to the openings of a viewer. */
#[OA\Schema]
final readonly class MovedDates
{
    /** @param  list<Sentence>  $lines  the row itself first */
    public function __construct(#[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $lines)
    {
    }
}
