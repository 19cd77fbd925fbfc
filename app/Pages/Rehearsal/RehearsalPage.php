<?php

declare(strict_types=1);

namespace App\Pages\Rehearsal;

use App\Pages\Courses\CourseHead;
use App\Publishing\EffectCount;
use App\Publishing\KindRow;
use App\Publishing\RehearsalRow;
use App\Sightlines\Expectations\Expected;
use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** What publishing the draft, or making an earlier revision live again, would do, before it is done. */
#[OA\Schema]
final readonly class RehearsalPage
{
    /**
     * @param  ?int  $back  number of the revision that is to be live again; null: the draft is
     * @param  list<Sentence>  $changes
     * @param  list<string>  $elsewhere  other courses that what is proposed reaches, of which nothing is rehearsed here
     * @param  list<string>  $with  what happens with it beside the rules
     * @param  list<string>  $editors  who edited, with how many edits
     * @param  bool  $finished  false: what follows is not known yet
     * @param  int  $looked  how many were looked at so far
     * @param  int  $people  those who hold something of the course
     * @param  int  $observers  observers, each once for each learner they look in on
     * @param  int  $of  how many there are to look at
     * @param  ?string  $setFor  the wall-clock time for which it is rehearsed; null: at once
     * @param  string  $atWords  the instant of the change
     * @param  string  $madeAtWords  when it was reckoned
     * @param  bool  $kept  it took long and may be of a few minutes ago
     * @param  string  $untilWords  how far it looks ahead
     * @param  list<EffectCount>  $totals  in all
     * @param  list<RehearsalRow>  $rows  items that touch anybody
     * @param  list<EffectCount>  $observerTotals  likewise, of observers
     * @param  list<RehearsalRow>  $observerRows
     * @param  list<KindRow>  $kinds
     * @param  list<Expected>  $expected  what is to stay so, by what is proposed
     * @param  list<GivenUpRow>  $givenUp  within the last day, the last first
     * @param  int  $losers  people and observers from whom something is taken or put off
     * @param  ?string  $receipt  to be handed back when it is published: what this reader was shown
     */
    public function __construct(
        #[OA\Property] public CourseHead $course,
        #[OA\Property] public ?int $back,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $changes,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $elsewhere,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $with,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $editors,
        #[OA\Property] public bool $finished,
        #[OA\Property] public int $looked,
        #[OA\Property] public int $people,
        #[OA\Property] public int $observers,
        #[OA\Property] public int $of,
        #[OA\Property] public ?string $setFor,
        #[OA\Property] public string $atWords,
        #[OA\Property] public string $madeAtWords,
        #[OA\Property] public bool $kept,
        #[OA\Property] public string $untilWords,
        #[OA\Property(items: new OA\Items(ref: EffectCount::class))] public array $totals,
        #[OA\Property(items: new OA\Items(ref: RehearsalRow::class))] public array $rows,
        #[OA\Property(items: new OA\Items(ref: EffectCount::class))] public array $observerTotals,
        #[OA\Property(items: new OA\Items(ref: RehearsalRow::class))] public array $observerRows,
        #[OA\Property(items: new OA\Items(ref: KindRow::class))] public array $kinds,
        #[OA\Property(items: new OA\Items(ref: Expected::class))] public array $expected,
        #[OA\Property(items: new OA\Items(ref: GivenUpRow::class))] public array $givenUp,
        #[OA\Property] public int $losers,
        #[OA\Property] public ?string $receipt,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}
