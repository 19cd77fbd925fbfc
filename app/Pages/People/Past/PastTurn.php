<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use OpenApi\Attributes as OA;

/** An instant of somebody's story. */
#[OA\Schema]
final readonly class PastTurn
{
    /**
     * @param  list<PastLine>  $lines  what happened; none: what became otherwise is told by the rows alone
     * @param  list<int>  $opened  places of rows
     * @param  list<int>  $shut  likewise
     * @param  list<PastChange>  $changes  of rows that are told otherwise from then on
     * @param  list<int>  $about  places of rows that what happened is about: that were looked at, met, finished or handed out
     */
    public function __construct(
        #[OA\Property] public int $at,
        #[OA\Property] public string $when,
        #[OA\Property(items: new OA\Items(ref: PastLine::class))] public array $lines,
        #[OA\Property(items: new OA\Items(type: 'integer'))] public array $opened,
        #[OA\Property(items: new OA\Items(type: 'integer'))] public array $shut,
        #[OA\Property(items: new OA\Items(ref: PastChange::class))] public array $changes,
        #[OA\Property(items: new OA\Items(type: 'integer'))] public array $about,
    ) {
    }
}
