<?php

declare(strict_types=1);

namespace App\Triggers\Runs;

use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Pass;
use App\Models\Person;
use App\People\HeldLabel;
use App\People\PeoplesLabels;
use App\Triggers\Spec\Only;
use App\Words\Say;

/** Whether what else must be so of somebody is so now. */
final readonly class ForWhom
{
    public function __construct(private PeoplesLabels $labels, private SchoolClock $clock)
    {
    }

    /** @return ?string why nothing is done for them, in words; null: all is as it must be */
    public function against(Only $only, Person $person): ?string
    {
        if ($only->isOpen()) {
            return null;
        }
        $labels = array_map(static fn (HeldLabel $held): string => $held->label, $this->labels->of([$person->id])[$person->id] ?? []);
        $holds = [];
        foreach ($only->holds === null && $only->notHolds === null ? [] : Pass::query()->with('offer')->where('person_id', $person->id)->get() as $pass) {
            if (Viewers::pass($pass)->isActive($this->clock->now())) {
                $holds[] = $pass->offer->key;
            }
        }

        return match (true) {
            $only->label !== null && ! in_array($only->label, $labels, true) => Say::text('triggers.against.label', ['label' => $only->label]),
            $only->notLabel !== null && in_array($only->notLabel, $labels, true) => Say::text('triggers.against.not_label', ['label' => $only->notLabel]),
            $only->holds !== null && ! in_array($only->holds, $holds, true) => Say::text('triggers.against.holds', ['offer' => $only->holds]),
            $only->notHolds !== null && in_array($only->notHolds, $holds, true) => Say::text('triggers.against.not_holds', ['offer' => $only->notHolds]),
            default => null,
        };
    }
}
