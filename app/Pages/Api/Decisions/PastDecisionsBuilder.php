<?php

declare(strict_types=1);

namespace App\Pages\Api\Decisions;

use App\Access\SchoolClock;
use App\Ledger\Past\Moment;
use App\Ledger\Past\Past;
use App\Ledger\Past\PastAnswer;
use App\Ledger\Past\PastLooker;
use App\Models\Course;
use App\Words\ClosedWords;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Time\Instant;

/** Puts together what systems of others are told of the past. */
final readonly class PastDecisionsBuilder
{
    public function __construct(private Past $past, private SchoolClock $clock)
    {
    }

    /** Null where the course was not published then. */
    public function of(Course $course, PastLooker $looker, int $at, bool $inWords): ?PastDecisions
    {
        $told = $this->past->andKnownNow($course, $looker, new Moment($at));
        if ($told === null) {
            return null;
        }
        [$then, $known] = $told;

        return new PastDecisions(
            $course->key, Instant::format($at), $looker->person, $then->revision, Instant::format(Past::wholeSince()), $then->wasThere,
            $this->items($then, $inWords), $known === null ? null : $this->items($known, $inWords),
        );
    }

    /** @return list<ItemDecision> */
    private function items(PastAnswer $then, bool $inWords): array
    {
        $words = $inWords ? new ClosedWords($then->answer->decider, $then->answer->snapshot(), $this->clock->stoppedAt($then->answer->at)) : null;
        $items = [];
        foreach ($then->answer->decisions() as $decision) {
            $items[] = ItemDecision::of($decision, $words === null || $decision->state === State::Open ? null : (string) $words->short($decision));
        }

        return $items;
    }
}
