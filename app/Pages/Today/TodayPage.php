<?php

declare(strict_types=1);

namespace App\Pages\Today;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** What is on in the school: the week, what ends soon, what is found, what changed. */
#[OA\Schema]
final readonly class TodayPage
{
    /**
     * @param  string  $heading  the day and the time
     * @param  int  $now  instant
     * @param  ?Sentence  $next  the first opening that is still to come this week
     * @param  list<AgendaDay>  $days  of the week, from Monday
     * @param  list<AgendaRow>  $courses
     * @param  bool  $counting  whether somebody is still being looked at
     * @param  string  $previous  the Monday before
     * @param  string  $following  the Monday after
     * @param  bool  $isThisWeek
     * @param  list<TodayLine>  $ending
     * @param  list<TodayLine>  $findings
     * @param  int  $found  all of them
     * @param  list<TodayLine>  $changed
     * @param  list<FirstStep>  $first  how a school begins; none where somebody holds a pass
     * @param  list<string>  $running  what the schedule and the queue did, in sentences
     * @param  bool  $ofAll  whether it is of the whole school; false: of the courses of whoever edits some
     */
    public function __construct(
        #[OA\Property] public string $heading,
        #[OA\Property] public int $now,
        #[OA\Property] public string $week,
        #[OA\Property] public ?Sentence $next,
        #[OA\Property(items: new OA\Items(ref: AgendaDay::class))] public array $days,
        #[OA\Property(items: new OA\Items(ref: AgendaRow::class))] public array $courses,
        #[OA\Property] public bool $counting,
        #[OA\Property] public string $previous,
        #[OA\Property] public string $following,
        #[OA\Property] public bool $isThisWeek,
        #[OA\Property(items: new OA\Items(ref: TodayLine::class))] public array $ending,
        #[OA\Property(items: new OA\Items(ref: TodayLine::class))] public array $findings,
        #[OA\Property] public int $found,
        #[OA\Property(items: new OA\Items(ref: TodayLine::class))] public array $changed,
        #[OA\Property(items: new OA\Items(ref: FirstStep::class))] public array $first,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $running,
        #[OA\Property] public bool $mayEdit,
        #[OA\Property] public bool $ofAll,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
    ) {
    }
}
