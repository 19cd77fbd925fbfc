<?php

declare(strict_types=1);

namespace App\Standins\Mail;

/** A letter in plain text. */
final readonly class Letter
{
    /** @param  ?string  $once  what it is about: a second one about the same is not sent */
    public function __construct(public ?int $personId, public string $to, public string $subject, public string $body, public ?string $once = null)
    {
    }
}
