<?php

declare(strict_types=1);

namespace App\Publishing\Seen;

/** A rehearsal that whoever published was shown: by what was known at one instant, it told what publishing does at another. */
final readonly class Shown
{
    /**
     * @param  int  $madeAt  seconds since 1970
     * @param  int  $for  seconds since 1970
     */
    public function __construct(public int $madeAt, public int $for)
    {
    }
}
