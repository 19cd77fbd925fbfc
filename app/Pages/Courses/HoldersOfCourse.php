<?php

declare(strict_types=1);

namespace App\Pages\Courses;

/** How many people hold an active pass of a course in a stretch of time in which no pass of it begins or ends. */
final readonly class HoldersOfCourse
{
    /**
     * @param  array<int, int>  $byOffer  by the offer's id
     * @param  int  $until  the first instant at which it may be otherwise
     */
    public function __construct(public int $people, public array $byOffer, private int $from, private int $until)
    {
    }

    public function holds(int $at): bool
    {
        return $at >= $this->from && $at < $this->until;
    }
}
