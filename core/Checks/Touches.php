<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks;

/** Who is touched by a finding, so that they can be counted. */
enum Touches: string
{
    /** Holders of an active pass of one of its offers. */
    case Holders = 'holders';

    /** Those of them who, whatever they finish, never come to one of its items. */
    case Unreached = 'unreached';

    /** Those of them whose pass opens none of its items now. */
    case ShutOut = 'shut_out';

    /** Those who have open, by the rules in force, what is shut to them by these. */
    case LockedOut = 'locked_out';

    /** Nobody who could be counted: strangers, guests, whoever comes next. */
    case Nobody = 'nobody';
}
