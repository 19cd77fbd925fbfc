<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

/** Why an item is not open. */
enum Reason: string
{
    case CourseDraft = 'course_draft';
    case CourseRetired = 'course_retired';
    case CourseNotOpen = 'course_not_open';
    case CourseOver = 'course_over';
    case Draft = 'draft';
    case NotInPass = 'not_in_pass';
    case Tier = 'tier';
    case NotForYou = 'not_for_you';
    case NotYet = 'not_yet';
    case Held = 'held';
    case Closed = 'closed';
    case Progress = 'progress';
    case Stuck = 'stuck';
    case ObserversShut = 'observers_shut';
    case ObserversNotHere = 'observers_not_here';
    case LearnerCannot = 'learner_cannot';
    case PassRevoked = 'pass_revoked';
    case PassPaused = 'pass_paused';
    case PassEnded = 'pass_ended';
    case PassNotStarted = 'pass_not_started';
    case GuestsShut = 'guests_shut';
    case GuestsNotHere = 'guests_not_here';
    case SampleNeedsAccount = 'sample_needs_account';
    case NoPass = 'no_pass';
    case NotSignedIn = 'not_signed_in';
}
