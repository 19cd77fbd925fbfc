<?php

declare(strict_types=1);

namespace App\Sightlines;

use App\Drafts\Rules\OpeningRule;
use App\Sightlines\Vantages\RulesVersion;
use App\Sightlines\Vantages\Vantage;
use OpenApi\Attributes as OA;

/**
 * Every row against every vantage over time. A cell is a list of turns: a sight and the instant from which it is seen,
 * by their numbers in `sights` and `instants`, one after the other. All instants are seconds since 1970.
 */
#[OA\Schema]
final readonly class SightlinesGrid
{
    /**
     * @param  int  $at  the instant that was asked for; else now
     * @param  int  $from  before it nothing is told
     * @param  bool  $overTime  whether it tells of all that comes after; else of that instant alone
     * @param  string  $see  draft, published or both
     * @param  list<Vantage>  $vantages
     * @param  list<Sight>  $sights
     * @param  list<int>  $instants
     * @param  list<list<list<int>>>  $cells  by row, in the order of the outline, and by vantage
     * @param  ?list<list<list<int>>>  $before  as it is published, beside the draft; a row or vantage that is not there is empty
     * @param  bool  $missing  whether some of those asked for are not there
     * @param  ?list<list<?int>>  $best  by vantage and row: when the most diligent would first be let in; null in the lens that does not show it
     * @param  list<RevisionMark>  $revisions  ascending, where what is published is looked at and something of it is past; the first is what was live at the beginning
     * @param  array<string, list<?OpeningRule>>  $openings  by release plan, in the order of the outline; in the lens that shows them
     */
    public function __construct(
        #[OA\Property] public int $at,
        #[OA\Property] public int $now,
        #[OA\Property] public int $from,
        #[OA\Property] public bool $overTime,
        #[OA\Property(enum: RulesVersion::class)] public string $see,
        #[OA\Property(items: new OA\Items(ref: Vantage::class))] public array $vantages,
        #[OA\Property(items: new OA\Items(ref: Sight::class))] public array $sights,
        #[OA\Property(items: new OA\Items(type: 'integer'))] public array $instants,
        #[OA\Property(items: new OA\Items(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'integer'))))] public array $cells,
        #[OA\Property(items: new OA\Items(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'integer'))))] public ?array $before,
        #[OA\Property] public bool $missing,
        #[OA\Property(items: new OA\Items(type: 'array', items: new OA\Items(type: 'integer', nullable: true)))] public ?array $best,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(ref: OpeningRule::class, nullable: true)))] public array $openings,
        #[OA\Property(items: new OA\Items(ref: RevisionMark::class))] public array $revisions,
    ) {
    }
}
