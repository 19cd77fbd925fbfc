<?php

declare(strict_types=1);

namespace App\Http\Pages\Keep;

use OpenApi\Attributes as OA;

/** The rules of one row. */
#[OA\Schema]
final readonly class RuleRow
{
    /**
     * @param  ?OpeningRule  $opening  null: no rule of its own
     * @param  ?list<string>  $tiers  null: every pass
     */
    public function __construct(
        #[OA\Property] public RuleCell $opens,
        #[OA\Property] public ?OpeningRule $opening,
        #[OA\Property] public RuleCell $closes,
        #[OA\Property] public ?OpeningRule $closing,
        #[OA\Property] public RuleCell $after,
        #[OA\Property] public ?AfterRule $afterRule,
        #[OA\Property] public RuleCell $forWhom,
        #[OA\Property(items: new OA\Items(type: 'string'), nullable: true)] public ?array $tiers,
        #[OA\Property] public RuleCell $sample,
        #[OA\Property] public RuleCell $guests,
        #[OA\Property] public RuleCell $observers,
        #[OA\Property] public RuleCell $whenClosed,
    ) {
    }
}
