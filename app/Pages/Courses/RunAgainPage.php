<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use OpenApi\Attributes as OA;

/** Running a course again: its dates as they are, and who asked to be told. */
#[OA\Schema]
final readonly class RunAgainPage
{
    /**
     * @param  string  $course  its key
     * @param  int  $version  of the draft; 0: there is none
     * @param  ?string  $first  the day on which its dates begin, as YYYY-MM-DD; null: it names none
     * @param  string  $next  a day to begin with: a whole number of weeks after that, and to come
     * @param  bool  $hasHolidays  whether the school has set any
     * @param  bool  $isRetired  so that it has to be opened again
     * @param  bool  $takes  whether people can ask to be told
     * @param  int  $waiting  who asked and was not written to yet
     * @param  bool  $runs  whether it is live, in a season that is not over: they can be written to
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public string $title,
        #[OA\Property] public int $version,
        #[OA\Property] public ?string $first,
        #[OA\Property] public string $next,
        #[OA\Property] public bool $hasHolidays,
        #[OA\Property] public bool $isRetired,
        #[OA\Property] public bool $takes,
        #[OA\Property] public int $waiting,
        #[OA\Property] public bool $runs,
        #[OA\Property] public bool $mayEdit,
        #[OA\Property] public bool $mayRun,
    ) {
    }
}
