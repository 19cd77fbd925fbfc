<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

enum State: string
{
    case Open = 'open';
    case Locked = 'locked';
    case Hidden = 'hidden';
}
