<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

/** A change of the rules that lets somebody in, or puts right what a check has found. */
enum FixKind: string
{
    case CourseLive = 'course_live';
    case SeasonBegun = 'season_begun';
    case SeasonOpenEnded = 'season_open_ended';
    case NoDraft = 'no_draft';
    case TierToo = 'tier_too';
    case EveryPass = 'every_pass';
    case NoCondition = 'no_condition';
    case AtOnce = 'at_once';
    case NeverCloses = 'never_closes';
    case NothingFirst = 'nothing_first';
    case AnyOrder = 'any_order';
    case AnyOrderOnTop = 'any_order_on_top';
    case OpenObserverDoor = 'open_observer_door';
    case ObserversEverywhere = 'observers_everywhere';
    case ObserversHere = 'observers_here';
    case OpenGuestDoor = 'open_guest_door';
    case GuestsEverywhere = 'guests_everywhere';
    case GuestsHere = 'guests_here';
    case Sample = 'sample';
    case SampleForVisitors = 'sample_for_visitors';
    case NoSample = 'no_sample';
    case Optional = 'optional';
    case NoPlan = 'no_plan';
    case ByOffer = 'by_offer';

    /** Made at the course itself, at no item. */
    public function isOfTheCourse(): bool
    {
        return match ($this) {
            self::CourseLive, self::SeasonBegun, self::SeasonOpenEnded, self::AnyOrderOnTop, self::OpenObserverDoor, self::ObserversEverywhere,
            self::OpenGuestDoor, self::GuestsEverywhere, self::SampleForVisitors, self::NoPlan, self::ByOffer => true,
            default => false,
        };
    }
}
