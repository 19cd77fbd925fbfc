<?php

declare(strict_types=1);

namespace App\Pages\Changed;

use OpenApi\Attributes as OA;

/** What became otherwise at a course between two instants, for whom and by what. */
#[OA\Schema]
final readonly class ChangedPage
{
    /**
     * @param  string  $from  on the school's wall clock
     * @param  string  $until  likewise
     * @param  string  $fromWords  the same in words
     * @param  int  $at  the later instant, at which the past of somebody is looked at
     * @param  ?string  $wrong  why nothing can be told
     * @param  ?int  $revision  whose publication alone is told of; null: whatever there was
     * @param  list<ChangedSince>  $since  the last revisions, the newest first
     * @param  ?string  $whole  since when the ledger knows all, where that is later
     * @param  int  $looked  people who were looked at so far
     * @param  int  $of  how many there are
     * @param  int  $among  those of them who held something by then
     * @param  int  $touched  people for whom anything became otherwise
     * @param  list<ChangedCount>  $totals
     * @param  list<ChangedCause>  $causes
     * @param  ?ChangedAmong  $observers  null: nobody looks in on any of these people
     * @param  list<ChangedKind>  $kinds
     * @param  ?ForetoldTold  $foretold  null: no revision is told of, or nobody was shown a rehearsal of it
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public string $title,
        #[OA\Property] public string $from,
        #[OA\Property] public string $until,
        #[OA\Property] public string $fromWords,
        #[OA\Property] public string $untilWords,
        #[OA\Property] public int $at,
        #[OA\Property] public ?string $wrong,
        #[OA\Property] public ?int $revision,
        #[OA\Property(items: new OA\Items(ref: ChangedSince::class))] public array $since,
        #[OA\Property] public ?string $whole,
        #[OA\Property] public bool $counting,
        #[OA\Property] public int $looked,
        #[OA\Property] public int $of,
        #[OA\Property] public int $among,
        #[OA\Property] public int $touched,
        #[OA\Property(items: new OA\Items(ref: ChangedCount::class))] public array $totals,
        #[OA\Property(items: new OA\Items(ref: ChangedCause::class))] public array $causes,
        #[OA\Property] public ?ChangedAmong $observers,
        #[OA\Property(items: new OA\Items(ref: ChangedKind::class))] public array $kinds,
        #[OA\Property] public ?ForetoldTold $foretold,
    ) {
    }
}
