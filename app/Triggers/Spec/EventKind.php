<?php

declare(strict_types=1);

namespace App\Triggers\Spec;

/** What can set a trigger off. */
enum EventKind: string
{
    case FormSent = 'form-sent';
    case AccountMade = 'account-made';
    case OfferTaken = 'offer-taken';
    case OfferRenewed = 'offer-renewed';
    case PaymentMissed = 'payment-missed';
    case Refunded = 'refunded';
    case PassBegins = 'pass-begins';
    case PassEndsIn = 'pass-ends-in';
    case PassEnds = 'pass-ends';
    case Finished = 'finished';
    case CourseFinished = 'course-finished';
    case QuizScored = 'quiz-scored';
    case LabelGiven = 'label-given';
    case LabelTaken = 'label-taken';
    case OnlySamples = 'only-samples';
    case OutsideEvent = 'outside-event';

    /** @return list<string> which of the fields of {@see When} it has */
    public function takes(): array
    {
        return match ($this) {
            self::AccountMade => [],
            self::FormSent => ['form'],
            self::OfferTaken, self::OfferRenewed, self::PaymentMissed, self::Refunded, self::PassBegins, self::PassEnds => ['offer'],
            self::PassEndsIn => ['offer', 'days'],
            self::Finished => ['course', 'item'],
            self::CourseFinished => ['course'],
            self::QuizScored => ['course', 'item', 'band', 'from', 'to'],
            self::LabelGiven, self::LabelTaken => ['label'],
            self::OnlySamples => ['days'],
            self::OutsideEvent => ['system', 'type'],
        };
    }
}
