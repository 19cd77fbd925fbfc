<?php

declare(strict_types=1);

namespace App\Learning\Letters;

use App\School\Letters\LetterTo;
use App\School\Letters\SettledLetter;

/** A kind of letter that is due by itself, when something has come about. */
interface DueLetter
{
    /**
     * Those that are due and were not written, in groups; each group is written before the next is asked for.
     *
     * @return iterable<list<LetterTo>>
     */
    public function due(SettledLetter $settled): iterable;
}
