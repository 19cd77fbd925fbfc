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
     * @param  list<string>  $editors  who edited, with how many edits
     * @param  bool  $finished  false: what follows is not known yet
     * @param  int  $people  how many were looked at
     * @param  int  $of  how many there are to look at
     * @param  ?string  $setFor  the wall-clock time for which it is rehearsed; null: at once
     * @param  string  $atWords  the instant of the change
     * @param  bool  $kept  it took long and may be of a few minutes ago
     * @param  string  $untilWords  how far it looks ahead
     * @param  list<EffectCount>  $totals  in all
     * @param  list<RehearsalRow>  $rows  items that touch anybody
     * @param  list<KindRow>  $kinds
     * @param  list<Expected>  $expected  what is to stay so, by the draft
     * @param  int  $losers  people from whom something is taken or put off
     */
    public function __construct(
        #[OA\Property] public CourseHead $course,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $changes,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $editors,
        #[OA\Property] public bool $finished,
        #[OA\Property] public int $people,
        #[OA\Property] public int $of,
        #[OA\Property] public ?string $setFor,
        #[OA\Property] public string $atWords,
        #[OA\Property] public bool $kept,
        #[OA\Property] public string $untilWords,
        #[OA\Property(items: new OA\Items(ref: EffectCount::class))] public array $totals,
        #[OA\Property(items: new OA\Items(ref: RehearsalRow::class))] public array $rows,
        #[OA\Property(items: new OA\Items(ref: KindRow::class))] public array $kinds,
        #[OA\Property(items: new OA\Items(ref: Expected::class))] public array $expected,
        #[OA\Property] public int $losers,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}
