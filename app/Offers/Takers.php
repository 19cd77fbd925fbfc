<?php

declare(strict_types=1);

namespace App\Offers;

use App\Access\Answer;
use App\Access\Viewers;
use App\Models\Pass;
use App\Models\Person;
use App\People\HeldLabel;
use App\People\PeoplesLabels;
use SilentKeep\Core\Viewing\LabelTimes;

/** Whoever may come to take an offer. */
final readonly class Takers
{
    public function __construct(private PeoplesLabels $labels)
    {
    }

    /** @param  ?Person  $person  null: whoever is like the viewer of the answer, real or not */
    public function of(?Person $person, Answer $answer): Taker
    {
        if ($person === null) {
            return self::like($answer);
        }
        $passes = [];
        foreach (Pass::query()->with('offer')->where('person_id', $person->id)->orderBy('id')->get() as $pass) {
            $passes[$pass->id] = Viewers::pass($pass);
        }

        return new Taker($passes, array_map(static fn (HeldLabel $held): string => $held->label, $this->labels->of([$person->id])[$person->id] ?? []));
    }

    private static function like(Answer $answer): Taker
    {
        $passes = [];
        foreach ($answer->viewer->passes as $index => $pass) {
            $passes[-1 - $index] = $pass;
        }

        return new Taker($passes, LabelTimes::of($answer->viewer, $answer->decider->prepared->plan->offers)->at($answer->at));
    }
}
