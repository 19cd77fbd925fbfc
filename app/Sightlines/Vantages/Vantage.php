<?php

declare(strict_types=1);

namespace App\Sightlines\Vantages;

use OpenApi\Attributes as OA;

/** A column of Sightlines: somebody who looks. */
#[OA\Schema]
final readonly class Vantage
{
    /**
     * @param  string  $id  as the address names it
     * @param  string  $kind  visitor, guest, member, holder, person or observer
     * @param  string  $title  who it is
     * @param  string  $name  title and detail in one, as a sentence names them
     * @param  ?string  $detail  more of them; null where the day says it
     * @param  ?string  $offer  the key of the offer whose pass is held, by nobody in particular
     * @param  ?int  $since  instant at which that pass begins
     * @param  ?int  $day  how many days ago that is now
     * @param  bool  $diligent  has finished each lesson as soon as it opened
     * @param  list<string>  $labels  that they have besides
     * @param  ?string  $plan  the release plan that paces them; null: none
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(enum: VantageKind::class)] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $name,
        #[OA\Property] public ?string $detail,
        #[OA\Property] public ?string $offer,
        #[OA\Property] public ?int $since,
        #[OA\Property] public ?int $day,
        #[OA\Property] public bool $diligent,
        #[OA\Property] public ?string $plan,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $labels,
    ) {
    }
}
