<?php

declare(strict_types=1);

namespace App\Pages\Checks;

use App\Pages\Courses\CourseHead;
use OpenApi\Attributes as OA;

/** What is found in the rules of a course, the draft's where there is one. */
#[OA\Schema]
final readonly class ChecksPage
{
    /**
     * @param  list<FindingRow>  $findings  faults first
     * @param  list<AcceptedRow>  $accepted
     * @param  list<BesidesRow>  $others  what else is found, in what is not rules
     * @param  bool  $draft  whether these are the draft's rules
     * @param  bool  $counting  whether people are still being looked at
     * @param  int  $looked  people of $of who have been
     */
    public function __construct(
        #[OA\Property] public CourseHead $course,
        #[OA\Property(items: new OA\Items(ref: FindingRow::class))] public array $findings,
        #[OA\Property(items: new OA\Items(ref: AcceptedRow::class))] public array $accepted,
        #[OA\Property(items: new OA\Items(ref: BesidesRow::class))] public array $others,
        #[OA\Property] public bool $draft,
        #[OA\Property] public bool $counting,
        #[OA\Property] public int $looked,
        #[OA\Property] public int $of,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}
