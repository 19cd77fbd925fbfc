<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Learning\CourseFrame;
use App\Learning\DateRow;
use App\Learning\PathRow;
use App\Offers\Sales\OfferCard;
use App\Pages\Learner\Closed\ClosingWords;
use App\Pages\Learner\Inside\ModuleIntro;
use App\Pages\Learner\Outside\CourseFaceTold;
use App\Pages\Learner\Outside\OfferColumn;
use OpenApi\Attributes as OA;

/** A course as its learner sees it. */
#[OA\Schema]
final readonly class CoursePage
{
    /**
     * @param  ?PathRow  $next  the next step
     * @param  ?PathRow  $last  where they were last, as long as it is open and to be done
     * @param  ?DateRow  $opens  what opens next by time, for those who are in
     * @param  bool  $inside  they hold a pass, look with somebody who does, or run the school
     * @param  list<OfferColumn>  $columns  for those outside: offers that they may take, beside the outline
     * @param  list<OfferCard>  $offers  others that they may take: upgrades, renewals, bundles
     * @param  ?string  $calendar  the private address that a calendar program can follow; null: none was made, or it is not theirs
     * @param  bool  $canSubscribe  they may have one made
     * @param  list<ModuleIntro>  $modules  what stands beneath the headings of those that are open, for those inside
     * @param  ?ClosingWords  $closing  where the course is over, or is given no more
     */
    public function __construct(
        #[OA\Property] public CourseFrame $course,
        #[OA\Property] public ?PathRow $next,
        #[OA\Property] public ?PathRow $last,
        #[OA\Property] public ?DateRow $opens,
        #[OA\Property] public bool $inside,
        #[OA\Property] public CourseFaceTold $face,
        #[OA\Property(items: new OA\Items(ref: OfferColumn::class))] public array $columns,
        #[OA\Property(items: new OA\Items(ref: OfferCard::class))] public array $offers,
        #[OA\Property] public ?string $calendar,
        #[OA\Property] public bool $canSubscribe,
        #[OA\Property(items: new OA\Items(ref: ModuleIntro::class))] public array $modules,
        #[OA\Property] public ?ClosingWords $closing,
        #[OA\Property] public ?RelatedCard $related,
    ) {
    }
}
