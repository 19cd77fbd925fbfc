<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use App\Access\FoundPerson;
use App\Access\Shelf\CoursePick;
use App\Access\ZoneOffset;
use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** What was open to somebody in a course, day by day, and by what. */
#[OA\Schema]
final readonly class PastPage
{
    /**
     * @param  list<CoursePick>  $courses  to be chosen from
     * @param  ?string  $course  key of the one that is told of; null: there is none
     * @param  int  $from  their first day there
     * @param  ?string  $wholeSince  from when on all is known, where that is later than their first day
     * @param  list<FoundPerson>  $observes  with whom they may look in, now or once
     * @param  ?int  $with  the one with whom they are shown looking in
     * @param  list<PastRow>  $rows  of the course, as it is now and as it was
     * @param  list<PastTurn>  $turns  ascending
     * @param  list<Sentence>  $reasons  that changes of rows name by their place
     * @param  list<ZoneOffset>  $offsets  of the school's wall clock
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property(items: new OA\Items(ref: CoursePick::class))] public array $courses,
        #[OA\Property] public ?string $course,
        #[OA\Property] public int $from,
        #[OA\Property] public int $now,
        #[OA\Property] public ?string $wholeSince,
        #[OA\Property(items: new OA\Items(ref: FoundPerson::class))] public array $observes,
        #[OA\Property] public ?int $with,
        #[OA\Property(items: new OA\Items(ref: PastRow::class))] public array $rows,
        #[OA\Property(items: new OA\Items(ref: PastTurn::class))] public array $turns,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $reasons,
        #[OA\Property(items: new OA\Items(ref: ZoneOffset::class))] public array $offsets,
        #[OA\Property] public string $zoneName,
    ) {
    }
}
