<?php

declare(strict_types=1);

namespace App\Notices\Parts;

/** What can stand on a notice. All but the first five are put there by the program, and only where they lead somewhere. */
enum PartKind: string
{
    /** The notice's own text. */
    case Words = 'words';
    case Heading = 'heading';
    /** Another text. */
    case Text = 'text';
    case Button = 'button';
    /** One of the school's. */
    case Picture = 'picture';
    case SignIn = 'sign-in';
    /** Offers that open just this. */
    case Offers = 'offers';
    /** What is to be finished first, where something is. */
    case Finish = 'finish';
    /** What can be looked at in the course. */
    case Samples = 'samples';
    /** Other courses, where this one is over. */
    case Courses = 'courses';
    case NextRun = 'next-run';
    /** A person to ask. */
    case Ask = 'ask';
    /** Something that is open now. */
    case Open = 'open';

    /** As it is where nobody has said anything else. */
    public const USUAL = [self::Words, self::Finish, self::SignIn, self::Offers, self::Courses, self::NextRun, self::Ask, self::Open];

    /** Of which there can be several. */
    public function isWritten(): bool
    {
        return in_array($this, [self::Heading, self::Text, self::Button, self::Picture], true);
    }
}
