<?php

declare(strict_types=1);

namespace App\Pages\Api\Courses;

use App\Publishing\EffectCount;
use App\Publishing\RehearsalRow;
use OpenApi\Attributes as OA;

/** What publishing the draft would do to the people. */
#[OA\Schema]
final readonly class RehearsalTold
{
    /**
     * @param  int  $version  of the draft
     * @param  bool  $finished  false: not everybody was looked at yet, and the rest is not known
     * @param  int  $looked  how many were looked at: people, and observers with each of their learners
     * @param  int  $of  how many there are to look at
     * @param  string  $at  instant of the change
     * @param  int  $losers  from whom something is taken or put off
     * @param  list<EffectCount>  $totals  people by what happens to them
     * @param  list<RehearsalRow>  $rows  items that touch anybody
     * @param  ?string  $receipt  to be handed back when it is published; null as long as it is not finished
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public int $version,
        #[OA\Property] public bool $finished,
        #[OA\Property] public int $looked,
        #[OA\Property] public int $of,
        #[OA\Property(format: 'date-time')] public string $at,
        #[OA\Property] public int $losers,
        #[OA\Property(items: new OA\Items(ref: EffectCount::class))] public array $totals,
        #[OA\Property(items: new OA\Items(ref: RehearsalRow::class))] public array $rows,
        #[OA\Property] public ?string $receipt,
    ) {
    }
}
