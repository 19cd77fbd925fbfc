<?php

declare(strict_types=1);

namespace App\Models\Document;

/** A date that the rules of a course name. */
final readonly class DocumentDate
{
    /**
     * @param  string  $what  season_opens, season_closes, opens, closes, only_from, only_until or lasts
     * @param  string  $at  wall-clock time in the school's zone, as the plan format has it
     * @param  ?string  $item  key of the item that it is about
     * @param  ?string  $plan  name of the release plan that it stands in
     * @param  ?string  $offer  key of the offer whose passes last until then
     */
    public function __construct(public string $what, public string $at, public ?string $item, public ?string $plan, public ?string $offer)
    {
    }
}
