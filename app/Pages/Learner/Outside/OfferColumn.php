<?php

declare(strict_types=1);

namespace App\Pages\Learner\Outside;

use App\Offers\Sales\OfferCard;
use OpenApi\Attributes as OA;

/** Beside the outline of a course: what an offer opens of it to this visitor, and when. */
#[OA\Schema]
final readonly class OfferColumn
{
    /**
     * @param  string  $lasts  how many days, until when, or for good
     * @param  string  $covers  how many of the lessons
     * @param  list<?string>  $opens  when, beside each row of the outline, and how much of a module; null: not in this pass
     */
    public function __construct(
        #[OA\Property] public OfferCard $offer,
        #[OA\Property] public string $lasts,
        #[OA\Property] public string $covers,
        #[OA\Property(items: new OA\Items(type: 'string', nullable: true))] public array $opens,
    ) {
    }
}
