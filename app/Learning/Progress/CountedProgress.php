<?php

declare(strict_types=1);

namespace App\Learning\Progress;

/** How far somebody has come in a course, and how long that stays true if they do nothing. */
final readonly class CountedProgress
{
    /**
     * @param  int  $finished  lessons
     * @param  int  $lessons  that are asked of them
     * @param  int  $from  the instant at which it was counted
     * @param  int  $until  the first instant at which something may be another; Instant::NEVER where nothing will
     */
    public function __construct(public int $finished, public int $lessons, private int $from, private int $until)
    {
    }

    public function holdsAt(int $instant): bool
    {
        return $this->from <= $instant && $instant < $this->until;
    }
}
