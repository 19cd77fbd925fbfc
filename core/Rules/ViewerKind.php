<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

/** The word for whoever looks, and in a condition for the route that is tried. */
enum ViewerKind: string
{
    case Staff = 'staff';
    case Learner = 'learner';
    case Observer = 'observer';
    case Guest = 'guest';
    case Member = 'member';
    case Visitor = 'visitor';
}
