<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use OpenApi\Attributes as OA;

/** A shared notice in the list. */
#[OA\Schema]
final readonly class SharedRow
{
    /**
     * @param  bool  $isLive  published: it can stand at doors
     * @param  bool  $isDrafted  changed and not published
     * @param  int  $places  at which it stands
     * @param  list<string>  $courses  titles of those in which it does
     * @param  int  $met  how often, in the last thirty days
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $isLive,
        #[OA\Property] public bool $isDrafted,
        #[OA\Property] public int $places,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $courses,
        #[OA\Property] public int $met,
    ) {
    }
}
