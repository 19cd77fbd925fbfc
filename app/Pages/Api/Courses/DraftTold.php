<?php

declare(strict_types=1);

namespace App\Pages\Api\Courses;

use OpenApi\Attributes as OA;

/** What waits to be published. */
#[OA\Schema]
final readonly class DraftTold
{
    /**
     * @param  int  $version  that grows with each edit; 0: there is no draft. It is also the ETag
     * @param  list<string>  $changes  against what is live, in words
     * @param  ?string  $publish_at  when it goes live by itself
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public int $version,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $changes,
        #[OA\Property(format: 'date-time')] public ?string $publish_at,
    ) {
    }
}
