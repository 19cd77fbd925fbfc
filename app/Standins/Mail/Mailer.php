<?php

declare(strict_types=1);

namespace App\Standins\Mail;

/** What sends letters: they go out once the transaction around them has ended. */
interface Mailer
{
    /** @param  list<Letter>  $letters */
    public function send(array $letters): void;
}
