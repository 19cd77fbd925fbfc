<?php

declare(strict_types=1);

namespace App\People;

use App\Access\NewPasses;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Gives somebody a pass by an offer, from an instant. */
final readonly class MakePass
{
    public function __construct(private NewPasses $newPasses, private ActivityLog $log)
    {
    }

    /** @param  int  $from  instant */
    public function __invoke(Person $person, Offer $offer, int $from, ?Person $giver = null): Pass
    {
        return DB::transaction(function () use ($person, $offer, $from, $giver): Pass {
            $pass = Pass::query()->create([
                'person_id' => $person->id,
                'course_id' => $offer->course_id,
                'offer_id' => $offer->id,
                ...$this->newPasses->columns($person, $offer, $from),
            ]);
            $this->log->note('pass.given', $giver, $offer->course, $person, after: ['offer' => $offer->key, 'from' => $pass->starts_at->format(DATE_RFC3339), 'until' => $pass->ends_at?->format(DATE_RFC3339)]);

            return $pass;
        });
    }
}
