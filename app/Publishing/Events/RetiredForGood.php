<?php

declare(strict_types=1);

namespace App\Publishing\Events;

/** A course was retired whose present learners are to keep it for good. Told within the transaction that retires it. */
final readonly class RetiredForGood
{
    /** @param  int  $by  who planned it so */
    public function __construct(public int $course, public int $revision, public int $by)
    {
    }
}
