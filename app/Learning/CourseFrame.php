<?php

declare(strict_types=1);

namespace App\Learning;

use OpenApi\Attributes as OA;

/** What stands around every page of a course. */
#[OA\Schema]
final readonly class CourseFrame
{
    /**
     * @param  string  $key  its address
     * @param  ?string  $pass  which pass, and until when: of several active ones that which opens most
     * @param  ?string  $left  how long the pass still lasts, in words; null: for good, or there is none
     * @param  list<PassLine>  $otherPasses  the active ones beside it; where none is active, what became of those there were
     * @param  int  $lessons  that are asked for
     * @param  int  $finished  of those
     * @param  int  $more  optional lessons that are not finished
     * @param  ?string  $as  how one looks, where not as oneself: as a guest, or with whom
     * @param  bool  $guest  they came in by the guest door, and may leave by it
     * @param  ?int  $turnsIn  seconds until something changes by time alone
     * @param  list<PathRow>  $path
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public ?string $pass,
        #[OA\Property] public ?string $left,
        #[OA\Property(items: new OA\Items(ref: PassLine::class))] public array $otherPasses,
        #[OA\Property] public int $lessons,
        #[OA\Property] public int $finished,
        #[OA\Property] public int $more,
        #[OA\Property] public ?string $as,
        #[OA\Property] public bool $guest,
        #[OA\Property] public ?int $turnsIn,
        #[OA\Property(items: new OA\Items(ref: PathRow::class))] public array $path,
    ) {
    }
}
