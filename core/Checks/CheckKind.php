<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks;

/** What checks find. The words of each are in lang/en/checks.php. */
enum CheckKind: string
{
    case WaitsInCircle = 'waits_in_circle';
    case WaitsForever = 'waits_forever';
    case OpensAfterPass = 'opens_after_pass';
    case OpensAfterSeason = 'opens_after_season';
    case ClosesBeforeOpening = 'closes_before_opening';
    case ClosedToNewcomers = 'closed_to_newcomers';
    case ConditionNeverHolds = 'condition_never_holds';
    case FirstDayClosed = 'first_day_closed';
    case WelcomeForFew = 'welcome_for_few';
    case HoldsUpHolders = 'holds_up_holders';
    case WaitsForNothing = 'waits_for_nothing';
    case NewLessonLocks = 'new_lesson_locks';
    case DatePast = 'date_past';
    case PlanUnused = 'plan_unused';
    case OffersAlike = 'offers_alike';
    case OfferOpensNothing = 'offer_opens_nothing';
    case OfferOver = 'offer_over';
    case NoWayIn = 'no_way_in';
    case NothingSold = 'nothing_sold';
    case SoldByInvitation = 'sold_by_invitation';
    case SoldThoughOpen = 'sold_though_open';
    case FreeBesidePriced = 'free_beside_priced';
    case TierNotGiven = 'tier_not_given';
    case LabelNotGiven = 'label_not_given';
    case TrialShort = 'trial_short';
    case TrialSooner = 'trial_sooner';
    case SampleNoEffect = 'sample_no_effect';
    case SampleForNobody = 'sample_for_nobody';
    case SamplesGiveMuch = 'samples_give_much';
    case DoorLeadsNowhere = 'door_leads_nowhere';
    case PermissionBehindShutDoor = 'permission_behind_shut_door';
    case OvertakesLearners = 'overtakes_learners';
    case NoMainPlan = 'no_main_plan';

    public function level(): Level
    {
        return match ($this) {
            self::WaitsInCircle, self::WaitsForever, self::OpensAfterPass, self::OpensAfterSeason, self::ClosesBeforeOpening, self::ConditionNeverHolds,
            self::OfferOpensNothing, self::NoWayIn, self::SoldByInvitation, self::SoldThoughOpen, self::SampleForNobody, self::TierNotGiven, self::HoldsUpHolders => Level::Fault,
            self::PlanUnused, self::WaitsForNothing, self::SampleNoEffect, self::PermissionBehindShutDoor, self::OfferOver, self::DatePast => Level::Idle,
            default => Level::Doubt,
        };
    }

    public function touches(): Touches
    {
        return match ($this) {
            self::WaitsInCircle, self::WaitsForever, self::OpensAfterPass, self::OpensAfterSeason, self::ClosesBeforeOpening, self::ClosedToNewcomers, self::ConditionNeverHolds => Touches::Unreached,
            self::WelcomeForFew, self::HoldsUpHolders => Touches::ShutOut,
            self::NewLessonLocks => Touches::LockedOut,
            self::FirstDayClosed, self::OffersAlike, self::OfferOpensNothing, self::OfferOver, self::SoldThoughOpen, self::TrialShort, self::TrialSooner => Touches::Holders,
            default => Touches::Nobody,
        };
    }

    /** Whether it is of what is sold, and to whom. */
    public function isOfSelling(): bool
    {
        return match ($this) {
            self::OffersAlike, self::OfferOpensNothing, self::OfferOver, self::NoWayIn, self::NothingSold, self::SoldByInvitation, self::SoldThoughOpen, self::FreeBesidePriced,
            self::TierNotGiven, self::TrialShort, self::TrialSooner => true,
            default => false,
        };
    }
}
