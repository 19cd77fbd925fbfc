<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use App\Access\SchoolClock;
use App\Ledger\Past\PastAnswer;
use App\Words\ClosedWords;
use App\Words\Glyph;
use App\Words\RuleWords;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\State;

/** What rows were like at one instant, in a few words each. */
final readonly class TurnWords
{
    private ClosedWords $closed;

    public function __construct(private PastAnswer $answer, SchoolClock $clock)
    {
        $this->closed = new ClosedWords($answer->answer->decider, $answer->answer->snapshot(), $clock);
    }

    public function reason(Decision $decision): Sentence
    {
        return match (true) {
            $decision->state !== State::Open => $this->closed->short($decision),
            Glyph::looksOnly($decision) => Sentence::say('past_told.open_to_look'),
            default => Sentence::say('past_told.open'),
        };
    }

    /** By which rule its day came, as "7 days after joining"; null where it is open by no date of its own. */
    public function rule(Decision $decision): ?string
    {
        $outline = $this->answer->answer->decider->course->outline;
        $item = $outline->positionOf($decision->item);
        $reading = $item === null ? null : $this->answer->answer->snapshot()->passFor($item);
        if ($item === null || $reading === null || $reading->offer->plan === null) {
            return null;
        }
        foreach ($outline->path[$item] as $step) {
            // The uppermost item that opens no earlier says when.
            if ($reading->schedule->release[$step] === $reading->schedule->release[$item]) {
                return RuleWords::opening($this->answer->document->read()->time($reading->offer->plan->name, $outline->items[$step]->key, 'opens'));
            }
        }

        return null;
    }
}
