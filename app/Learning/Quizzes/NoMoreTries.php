<?php

declare(strict_types=1);

namespace App\Learning\Quizzes;

use RuntimeException;

/** The quiz may not be tried, or not yet. */
final class NoMoreTries extends RuntimeException
{
    /** @param  ?int  $from  the instant from which it may; null: not any more */
    public function __construct(public readonly ?int $from)
    {
        parent::__construct();
    }
}
