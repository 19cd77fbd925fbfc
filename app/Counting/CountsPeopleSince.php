<?php

declare(strict_types=1);

namespace App\Counting;

/** Something that is counted also on those whose passes have ended since an instant. */
interface CountsPeopleSince extends CountsPeople
{
    /** @param  string  $what  as the count is called */
    public function since(string $what): int;
}
