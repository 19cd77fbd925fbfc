<?php

declare(strict_types=1);

namespace SilentKeep\Core\Viewing;

enum PassState: string
{
    case Active = 'active';
    case Paused = 'paused';
    case Revoked = 'revoked';
}
