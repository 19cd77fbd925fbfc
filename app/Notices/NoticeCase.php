<?php

declare(strict_types=1);

namespace App\Notices;

use App\Words\Say;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;

/** The kinds of closed doors that people are told of in words of their own. */
enum NoticeCase: string
{
    case Unknown = 'unknown';
    case Account = 'account';
    case NoPass = 'no-pass';
    case OtherTier = 'other-tier';
    case OtherPart = 'other-part';
    case OtherPeople = 'other-people';
    case TooEarly = 'too-early';
    case Held = 'held';
    case FinishFirst = 'finish-first';
    case Stuck = 'stuck';
    case Ended = 'ended';
    case Paused = 'paused';
    case Withdrawn = 'withdrawn';
    case Closed = 'closed';
    case NoGuests = 'no-guests';
    case NoObservers = 'no-observers';
    case CourseNotOpen = 'course-not-open';
    case CourseOver = 'course-over';
    case CourseRetired = 'course-retired';

    /** In the order in which the words of a notice are chosen. */
    private const OF_REASON = [
        Reason::LearnerCannot->value => self::NoObservers,
        Reason::NotForYou->value => self::OtherPeople,
        Reason::GuestsShut->value => self::NoGuests,
        Reason::GuestsNotHere->value => self::NoGuests,
        Reason::ObserversShut->value => self::NoObservers,
        Reason::ObserversNotHere->value => self::NoObservers,
        Reason::NotSignedIn->value => self::Unknown,
        Reason::SampleNeedsAccount->value => self::Account,
        Reason::NoPass->value => self::NoPass,
        Reason::PassEnded->value => self::Ended,
        Reason::PassPaused->value => self::Paused,
        Reason::PassRevoked->value => self::Withdrawn,
        Reason::PassNotStarted->value => self::TooEarly,
        Reason::CourseNotOpen->value => self::CourseNotOpen,
        Reason::CourseOver->value => self::CourseOver,
        Reason::CourseRetired->value => self::CourseRetired,
        Reason::Tier->value => self::OtherTier,
        Reason::NotInPass->value => self::OtherPart,
        Reason::Closed->value => self::Closed,
        Reason::Held->value => self::Held,
        Reason::Stuck->value => self::Stuck,
        Reason::NotYet->value => self::TooEarly,
        Reason::Progress->value => self::FinishFirst,
    ];

    public static function of(Decision $decision): self
    {
        $why = array_map(static fn (Reason $reason): string => $reason->value, $decision->why);
        foreach (self::OF_REASON as $reason => $case) {
            if (in_array($reason, $why, true)) {
                return $case;
            }
        }

        return self::OtherPart;
    }

    /** Who meets it. */
    public function words(): string
    {
        return Say::text("cases.titles.{$this->value}");
    }

    /** Only who is not signed in can be sent to sign in. */
    public function canSendToSignIn(): bool
    {
        return $this === self::Unknown || $this === self::Account;
    }

    /** 401 asks to sign in, 403 says no; what is hidden is 404 and has no notice. */
    public function status(): int
    {
        return $this->canSendToSignIn() ? 401 : 403;
    }

    /**
     * Words to begin with, much like those that are said without any of one's own.
     *
     * @return array{string, string} heading and text
     */
    public function usual(): array
    {
        return [Say::unfilled("cases.usual.{$this->value}.heading"), Say::unfilled("cases.usual.{$this->value}.text")];
    }

    /** Whether those who meet it are not signed in: nothing is known of them, not their name either. */
    public function isOfNobodyKnown(): bool
    {
        return in_array($this, [self::Unknown, self::Account, self::NoGuests], true);
    }
}
