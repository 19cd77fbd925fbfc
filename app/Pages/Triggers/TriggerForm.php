<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use App\Triggers\Spec\Only;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\When;
use OpenApi\Attributes as OA;

/** A trigger that is worked on, with its runs. */
#[OA\Schema]
final readonly class TriggerForm
{
    /**
     * @param  list<Step>  $steps
     * @param  ?string  $since  when it was switched on, in words
     * @param  list<RunRow>  $runs  the latest first
     * @param  int  $lately  how often what sets it off came about in the last thirty days
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $version,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $on,
        #[OA\Property] public When $when,
        #[OA\Property] public Only $only,
        #[OA\Property(items: new OA\Items(ref: Step::class))] public array $steps,
        #[OA\Property] public ?string $since,
        #[OA\Property(items: new OA\Items(ref: RunRow::class))] public array $runs,
        #[OA\Property] public int $lately,
    ) {
    }
}
