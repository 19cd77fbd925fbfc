<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Access\FoundPerson;
use OpenApi\Attributes as OA;

/** With whom somebody may look, and does: on every page of the learner's side. */
#[OA\Schema]
final readonly class Looking
{
    /**
     * @param  list<FoundPerson>  $learners
     * @param  ?int  $observed  null: as themselves
     */
    public function __construct(#[OA\Property(items: new OA\Items(ref: FoundPerson::class))] public array $learners, #[OA\Property] public ?int $observed)
    {
    }
}
