<?php

declare(strict_types=1);

namespace App\Pages\Offers;

use OpenApi\Attributes as OA;

/** The offers of some courses: of all, where these are few. */
#[OA\Schema]
final readonly class OffersPage
{
    /**
     * @param  list<CourseOffers>  $courses
     * @param  list<BundleRow>  $bundles
     * @param  list<OfferChoice>  $offers  of all courses
     * @param  int  $page  from 1
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: CourseOffers::class))] public array $courses,
        #[OA\Property(items: new OA\Items(ref: BundleRow::class))] public array $bundles,
        #[OA\Property(items: new OA\Items(ref: OfferChoice::class))] public array $offers,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
        #[OA\Property] public bool $mayRun,
    ) {
    }
}
