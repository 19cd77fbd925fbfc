<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks;

/** How much a finding matters. */
enum Level: string
{
    /** Somebody does not get what is meant for them, or gets what is not. */
    case Fault = 'fault';

    /** It may be meant so; it seldom is. */
    case Doubt = 'doubt';

    /** It does no harm, and no good. */
    case Idle = 'idle';
}
