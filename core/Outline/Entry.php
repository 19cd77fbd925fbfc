<?php

declare(strict_types=1);

namespace SilentKeep\Core\Outline;

/** How one gets in. Only `anyone` bears on decisions; the others say how a pass is come by. */
enum Entry: string
{
    case Anyone = 'anyone';
    case Signup = 'signup';
    case Offer = 'offer';
    case Invite = 'invite';
}
