<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use RuntimeException;

/** A file is no WebVTT, or says something before what it said already. */
final class NotCaptions extends RuntimeException
{
    /** @param  int  $at  from 1 */
    public function __construct(public readonly int $at)
    {
        parent::__construct((string) $at);
    }
}
