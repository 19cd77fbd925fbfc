<?php

declare(strict_types=1);

namespace App\Pages\Api\Courses;

use App\Pages\Changed\ChangedAmong;
use OpenApi\Attributes as OA;

/** Who gained and who lost at a course between two instants, and by what. */
#[OA\Schema]
final readonly class ChangesTold
{
    /**
     * @param  bool  $finished  false: not everybody was looked at yet
     * @param  int  $looked  people who were looked at
     * @param  int  $of  how many there are to look at
     * @param  ChangedAmong  $people  who held something of the course by then; each row of each of them is counted once, so that the causes add up to the totals
     * @param  ?ChangedAmong  $observers  null: nobody looks in on any of these people
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property(format: 'date-time')] public string $from,
        #[OA\Property(format: 'date-time')] public string $until,
        #[OA\Property] public bool $finished,
        #[OA\Property] public int $looked,
        #[OA\Property] public int $of,
        #[OA\Property] public ChangedAmong $people,
        #[OA\Property] public ?ChangedAmong $observers,
    ) {
    }
}
