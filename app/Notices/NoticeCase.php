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
    case NotCovered = 'not-covered';
    case TooEarly = 'too-early';
    case FinishFirst = 'finish-first';
    case Ended = 'ended';
    case Closed = 'closed';
    case NotAdmitted = 'not-admitted';
    case CourseOver = 'course-over';

    /** In the order in which the words of a notice are chosen. */
    private const OF_REASON = [
        Reason::LearnerCannot->value => self::NotAdmitted,
        Reason::NotForYou->value => self::NotCovered,
        Reason::GuestsShut->value => self::NotAdmitted,
        Reason::GuestsNotHere->value => self::NotAdmitted,
        Reason::ObserversShut->value => self::NotAdmitted,
        Reason::ObserversNotHere->value => self::NotAdmitted,
        Reason::NotSignedIn->value => self::Unknown,
        Reason::SampleNeedsAccount->value => self::Account,
        Reason::NoPass->value => self::NoPass,
        Reason::PassEnded->value => self::Ended,
        Reason::PassPaused->value => self::Ended,
        Reason::PassRevoked->value => self::Ended,
        Reason::PassNotStarted->value => self::TooEarly,
        Reason::CourseNotOpen->value => self::TooEarly,
        Reason::CourseOver->value => self::CourseOver,
        Reason::CourseRetired->value => self::CourseOver,
        Reason::Tier->value => self::NotCovered,
        Reason::NotInPass->value => self::NotCovered,
        Reason::Closed->value => self::Closed,
        Reason::Held->value => self::NotCovered,
        Reason::Stuck->value => self::NotCovered,
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

        return self::NotCovered;
    }

    /** Who meets it. */
    public function words(): string
    {
        return match ($this) {
            self::Unknown => Say::text('cases.notice_case.somebody_who_not_signed'),
            self::Account => Say::text('cases.notice_case.somebody_who_not_signed_in'),
            self::NoPass => Say::text('cases.notice_case.somebody_we_know_who'),
            self::NotCovered => Say::text('cases.notice_case.pass_that_does_not'),
            self::TooEarly => Say::text('cases.notice_case.too_early'),
            self::FinishFirst => Say::text('cases.notice_case.something_to_finish_first'),
            self::Ended => Say::text('cases.notice_case.pass_that_has_ended'),
            self::Closed => Say::text('cases.notice_case.the_lesson_has_closed'),
            self::NotAdmitted => Say::text('cases.notice_case.guest_or_observer_who'),
            self::CourseOver => Say::text('cases.notice_case.course_over_or_retired'),
        };
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
}
