<?php

declare(strict_types=1);

namespace App\Pages\Today;

use OpenApi\Attributes as OA;

/** A course and its week. */
#[OA\Schema]
final readonly class AgendaRow
{
    /**
     * @param  string  $note  how many hold a pass, and its season where it has one
     * @param  list<list<AgendaEntry>>  $days  by day of the week, of each those that touch most people
     * @param  list<int>  $more  by day: how many there are besides
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public string $note,
        #[OA\Property(items: new OA\Items(type: 'array', items: new OA\Items(ref: AgendaEntry::class)))] public array $days,
        #[OA\Property(items: new OA\Items(type: 'integer'))] public array $more,
    ) {
    }
}
