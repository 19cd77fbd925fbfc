<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Access\Shelf\OfferPick;
use App\Access\Shelf\OutlineRow;
use App\Notices\NoticeCase;
use App\Sightlines\Vantages\Vantage;
use OpenApi\Attributes as OA;

/** What people meet at closed doors: in the whole school, or in one course. */
#[OA\Schema]
final readonly class NoticesPage
{
    /**
     * @param  ?string  $course  its key; null: the whole school
     * @param  ?string  $title  of the course
     * @param  list<NoticeRow>  $notices
     * @param  list<PlaceholderRow>  $placeholders
     * @param  string  $open  the case that is worked on
     * @param  ?string  $item  at which these words stand; null: the whole course
     * @param  ?string  $offer  for whose holders; null: for everybody
     * @param  list<Vantage>  $vantages  as whom a notice of the course can be looked at
     * @param  list<SharedPick>  $shared  published, by name
     * @param  list<OutlineRow>  $rows  of the course, at which words can stand
     * @param  list<OfferPick>  $offers  likewise, for whose holders
     */
    public function __construct(
        #[OA\Property] public ?string $course,
        #[OA\Property] public ?string $title,
        #[OA\Property(items: new OA\Items(ref: NoticeRow::class))] public array $notices,
        #[OA\Property(items: new OA\Items(ref: PlaceholderRow::class))] public array $placeholders,
        #[OA\Property(enum: NoticeCase::class)] public string $open,
        #[OA\Property] public bool $mayEdit,
        #[OA\Property] public ?string $item,
        #[OA\Property] public ?string $offer,
        #[OA\Property(items: new OA\Items(ref: Vantage::class))] public array $vantages,
        #[OA\Property(items: new OA\Items(ref: SharedPick::class))] public array $shared,
        #[OA\Property(items: new OA\Items(ref: OutlineRow::class))] public array $rows,
        #[OA\Property(items: new OA\Items(ref: OfferPick::class))] public array $offers,
    ) {
    }
}
