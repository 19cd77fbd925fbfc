<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

/** Why an item is not open; each code with the clause of the contract that gives it. */
enum Reason: string
{
    /** @see ../../docs/decisions.md#43-course-gate */
    case CourseDraft = 'course_draft';

    /** @see ../../docs/decisions.md#43-course-gate */
    case CourseRetired = 'course_retired';

    /** @see ../../docs/decisions.md#43-course-gate */
    case CourseNotOpen = 'course_not_open';

    /** @see ../../docs/decisions.md#43-course-gate */
    case CourseOver = 'course_over';

    /** @see ../../docs/decisions.md#410-why */
    case Draft = 'draft';

    /** @see ../../docs/decisions.md#46-pass-gates */
    case NotInPass = 'not_in_pass';

    /** @see ../../docs/decisions.md#46-pass-gates */
    case Tier = 'tier';

    /** @see ../../docs/decisions.md#46-pass-gates */
    case NotForYou = 'not_for_you';

    /** @see ../../docs/decisions.md#46-pass-gates */
    case NotYet = 'not_yet';

    /** @see ../../docs/decisions.md#46-pass-gates */
    case Held = 'held';

    /** @see ../../docs/decisions.md#46-pass-gates */
    case Closed = 'closed';

    /** @see ../../docs/decisions.md#48-progress */
    case Progress = 'progress';

    /** @see ../../docs/decisions.md#48-progress */
    case Stuck = 'stuck';

    /** @see ../../docs/decisions.md#410-why */
    case ObserversShut = 'observers_shut';

    /** @see ../../docs/decisions.md#410-why */
    case ObserversNotHere = 'observers_not_here';

    /** @see ../../docs/decisions.md#410-why */
    case LearnerCannot = 'learner_cannot';

    /** @see ../../docs/decisions.md#410-why */
    case PassRevoked = 'pass_revoked';

    /** @see ../../docs/decisions.md#410-why */
    case PassPaused = 'pass_paused';

    /** @see ../../docs/decisions.md#410-why */
    case PassEnded = 'pass_ended';

    /** @see ../../docs/decisions.md#410-why */
    case PassNotStarted = 'pass_not_started';

    /** @see ../../docs/decisions.md#410-why */
    case GuestsShut = 'guests_shut';

    /** @see ../../docs/decisions.md#410-why */
    case GuestsNotHere = 'guests_not_here';

    /** @see ../../docs/decisions.md#410-why */
    case SampleNeedsAccount = 'sample_needs_account';

    /** @see ../../docs/decisions.md#410-why */
    case NoPass = 'no_pass';

    /** @see ../../docs/decisions.md#410-why */
    case NotSignedIn = 'not_signed_in';
}
