<?php

declare(strict_types=1);

namespace App\Pages\Offers;

use OpenApi\Attributes as OA;

/** The offers of all courses. */
#[OA\Schema]
final readonly class OffersPage
{
    /**
     * @param  list<CourseOffers>  $courses
     * @param  list<BundleRow>  $bundles
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: CourseOffers::class))] public array $courses,
        #[OA\Property(items: new OA\Items(ref: BundleRow::class))] public array $bundles,
        #[OA\Property] public bool $mayRun,
    ) {
    }
}
