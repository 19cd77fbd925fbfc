<?php

declare(strict_types=1);

namespace App\Http\Pages\Keep;

use App\Keep\Words\Sentence;
use OpenApi\Attributes as OA;

/** What publishing the draft would do, before it is done. */
#[OA\Schema]
final readonly class RehearsalPage
{
    /**
     * @param  list<Sentence>  $changes
     * @param  int  $people  how many were looked at
     * @param  string  $untilWords  how far it looks ahead
     * @param  list<EffectCount>  $totals  in all
     * @param  list<RehearsalRow>  $rows  items that touch anybody
     * @param  list<KindRow>  $kinds
     * @param  int  $losers  people from whom something is taken or put off
     */
    public function __construct(
        #[OA\Property] public CourseHead $course,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $changes,
        #[OA\Property] public int $people,
        #[OA\Property] public string $untilWords,
        #[OA\Property(items: new OA\Items(ref: EffectCount::class))] public array $totals,
        #[OA\Property(items: new OA\Items(ref: RehearsalRow::class))] public array $rows,
        #[OA\Property(items: new OA\Items(ref: KindRow::class))] public array $kinds,
        #[OA\Property] public int $losers,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}
