<?php

declare(strict_types=1);

namespace App\Front;

/** What an item takes, in what may be told of a closed one: not what it says, but how much of it there is. */
final readonly class LessonSize
{
    /** @param  int  $minutes  0: there is nothing in it yet */
    public function __construct(public int $minutes, public int $films, public bool $quiz)
    {
    }
}
