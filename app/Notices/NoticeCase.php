<?php

declare(strict_types=1);

namespace App\Notices;

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
            self::Unknown => 'Somebody who is not signed in',
            self::Account => 'Somebody who is not signed in, at a sample that asks for an account',
            self::NoPass => 'Somebody we know who has no pass',
            self::NotCovered => 'A pass that does not cover it',
            self::TooEarly => 'Too early',
            self::FinishFirst => 'Something to finish first',
            self::Ended => 'A pass that has ended, is paused or was withdrawn',
            self::Closed => 'The lesson has closed',
            self::NotAdmitted => 'A guest or an observer who is not admitted',
            self::CourseOver => 'The course is over or retired',
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
        return match ($this) {
            self::Unknown => ['{title} needs a pass', 'If you have one, sign in and you will be back at exactly this page.'],
            self::Account => ['{title} is open to everyone with an account', 'Sign in and you will be back at exactly this page.'],
            self::NoPass => ['{title} needs a pass', 'You are signed in as {name}, but you hold no pass for {course}.'],
            self::NotCovered => ['{title} is not in your pass', 'Your pass covers another part of {course}.'],
            self::TooEarly => ['{title} is not open yet', 'It opens {opens}.'],
            self::FinishFirst => ['Something comes before {title}', 'Finish {first} first, and it opens at once.'],
            self::Ended => ['Your pass has ended', 'What you have finished is still recorded.'],
            self::Closed => ['{title} has closed', 'It is not open any more.'],
            self::NotAdmitted => ['{title} is shown to learners alone', 'If you hold a pass, sign in with it.'],
            self::CourseOver => ['The course is over', '{course} is not given at present.'],
        };
    }
}
