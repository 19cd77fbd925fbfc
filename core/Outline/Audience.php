<?php

declare(strict_types=1);

namespace SilentKeep\Core\Outline;

/** Those who come in by a door and without a pass. */
enum Audience: string
{
    case Guests = 'guests';
    case Observers = 'observers';
}
