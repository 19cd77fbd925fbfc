<?php

declare(strict_types=1);

namespace App\Pages\Workspace;

use App\Access\Shelf\OfferPick;
use App\Access\Shelf\OutlineRow;
use App\Access\ZoneOffset;
use App\Drafts\Rules\RuleColumn;
use App\Drafts\Rules\RuleRow;
use App\Pages\Courses\CourseHead;
use App\Pages\Courses\CourseSettings;
use App\Pages\Notices\NoticesGrid;
use App\Sightlines\SightlinesGrid;
use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** One course, in one screen. */
#[OA\Schema]
final readonly class WorkspacePage
{
    /**
     * @param  string  $lens  rules, sightlines, timeline or notices
     * @param  list<OutlineRow>  $rows
     * @param  list<string>  $plans  names of the release plans
     * @param  ?string  $plan  the one that is shown
     * @param  ?string  $mainPlan  that of everybody without a pass
     * @param  list<string>  $tiers  of the course
     * @param  list<OfferPick>  $offers  of the course
     * @param  list<string>  $labels  that people have
     * @param  list<RuleRow>  $rules  in the order of the rows
     * @param  list<RuleColumn>  $columns  as the one who reads has arranged them; none: as they are at first
     * @param  list<Sentence>  $changes  what publishing would change
     * @param  list<SavedVantages>  $saved  of the one who reads; none in the Rules lens
     * @param  list<ZoneOffset>  $offsets  of the school's wall clock
     * @param  ?string  $expectations  another one whenever what is expected of the course is; null: nothing is
     * @param  ?SightlinesGrid  $sightlines  null in the lenses of rules and of notices
     * @param  ?NoticesGrid  $notices  null in all other lenses
     */
    public function __construct(
        #[OA\Property] public CourseHead $course,
        #[OA\Property(enum: ['rules', 'sightlines', 'timeline', 'notices'])] public string $lens,
        #[OA\Property(items: new OA\Items(ref: OutlineRow::class))] public array $rows,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $plans,
        #[OA\Property] public ?string $plan,
        #[OA\Property] public ?string $mainPlan,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $tiers,
        #[OA\Property(items: new OA\Items(ref: OfferPick::class))] public array $offers,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $labels,
        #[OA\Property(items: new OA\Items(ref: RuleRow::class))] public array $rules,
        #[OA\Property(items: new OA\Items(ref: RuleColumn::class))] public array $columns,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $changes,
        #[OA\Property(items: new OA\Items(ref: SavedVantages::class))] public array $saved,
        #[OA\Property(items: new OA\Items(ref: ZoneOffset::class))] public array $offsets,
        #[OA\Property] public ?string $expectations,
        #[OA\Property] public ?SightlinesGrid $sightlines,
        #[OA\Property] public ?NoticesGrid $notices,
        #[OA\Property] public bool $mayEdit,
        #[OA\Property] public CourseSettings $settings,
    ) {
    }
}
