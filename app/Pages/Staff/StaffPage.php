<?php

declare(strict_types=1);

namespace App\Pages\Staff;

use OpenApi\Attributes as OA;

/** Who works for the school, and as what. */
#[OA\Schema]
final readonly class StaffPage
{
    /**
     * @param  list<StaffRow>  $staff
     * @param  list<StaffCourse>  $courses
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: StaffRow::class))] public array $staff,
        #[OA\Property(items: new OA\Items(ref: StaffCourse::class))] public array $courses,
        #[OA\Property] public bool $mayRun,
    ) {
    }
}
