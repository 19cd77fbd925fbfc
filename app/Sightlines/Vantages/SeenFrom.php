<?php

declare(strict_types=1);

namespace App\Sightlines\Vantages;

use App\Models\Person;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Viewer;

/** A vantage with who stands there. */
final readonly class SeenFrom
{
    /**
     * @param  ?Person  $person  the real one, or the real learner who is observed
     * @param  ?Offer  $offer  whose pass they hold, or the one they observe holds, who are nobody in particular
     * @param  ?int  $since  instant at which that pass begins
     */
    public function __construct(public VantagePoint $point, public Viewer $viewer, public ?Person $person, public ?Offer $offer, public ?int $since)
    {
    }
}
