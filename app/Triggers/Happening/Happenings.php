<?php

declare(strict_types=1);

namespace App\Triggers\Happening;

use App\Triggers\Spec\EventKind;
use App\Triggers\Spec\When;

/**
 * What came about between two instants. It is looked up where it stands, in passes, purchases, progress and the log, and never
 * told of by whoever does it: nothing is missed, whatever order it comes in, and the past can be asked as the present is.
 */
final readonly class Happenings
{
    public function __construct(private FromPasses $passes, private FromShop $shop, private FromProgress $progress, private FromPeople $people, private FromForms $forms, private FromOutside $outside)
    {
    }

    /**
     * @param  int  $from  instant, from which on
     * @param  int  $to  instant, up to which; this one too
     * @return list<Happening> the earliest first, each once
     */
    public function of(When $when, int $from, int $to): array
    {
        $found = match ($when->kind()) {
            EventKind::PassBegins, EventKind::PassEnds, EventKind::PassEndsIn => $this->passes->of($when, $from, $to),
            EventKind::OfferTaken, EventKind::OfferRenewed, EventKind::PaymentMissed, EventKind::Refunded => $this->shop->of($when, $from, $to),
            EventKind::Finished, EventKind::CourseFinished, EventKind::QuizScored => $this->progress->of($when, $from, $to),
            EventKind::OutsideEvent => $this->outside->of($when, $from, $to),
            EventKind::FormSent => $this->forms->of($when, $from, $to),
            EventKind::AccountMade, EventKind::LabelGiven, EventKind::LabelTaken, EventKind::OnlySamples => $this->people->of($when, $from, $to),
        };
        usort($found, static fn (Happening $a, Happening $b): int => [$a->at, $a->key] <=> [$b->at, $b->key]);

        return $found;
    }
}
