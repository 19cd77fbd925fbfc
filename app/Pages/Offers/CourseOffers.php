<?php

declare(strict_types=1);

namespace App\Pages\Offers;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** The offers of a course against its modules. */
#[OA\Schema]
final readonly class CourseOffers
{
    /**
     * @param  int  $version  of the draft
     * @param  bool  $draft  whether something of it waits to be published
     * @param  list<string>  $modules  titles of what stands at the top
     * @param  list<OfferRow>  $offers
     * @param  list<string>  $tiers
     * @param  list<string>  $plans
     * @param  list<Sentence>  $findings  what looks like a mistake
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public int $version,
        #[OA\Property] public bool $draft,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $modules,
        #[OA\Property(items: new OA\Items(ref: OfferRow::class))] public array $offers,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $tiers,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $plans,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $findings,
    ) {
    }
}
