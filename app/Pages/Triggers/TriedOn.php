<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** What a trigger would do, without doing it. */
#[OA\Schema]
final readonly class TriedOn
{
    /**
     * @param  Sentence  $sentence  the trigger as it is typed
     * @param  int  $lately  how often what sets it off came about in the last thirty days
     * @param  list<string>  $who  for whom, and when; the latest first
     * @param  ?string  $person  on whom it was tried
     * @param  ?string  $against  why nothing would be done for them
     * @param  list<string>  $steps  what each step would come to for them
     */
    public function __construct(
        #[OA\Property] public Sentence $sentence,
        #[OA\Property] public int $lately,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $who,
        #[OA\Property] public ?string $person,
        #[OA\Property] public ?string $against,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $steps,
    ) {
    }
}
