<?php

declare(strict_types=1);

namespace App\Standins\Mail;

use App\Models\School;

/** Under which name and address letters go out. */
final readonly class Sender
{
    /** @param  ?string  $reply  where answers go; null: to the address */
    private function __construct(public string $name, public string $address, public ?string $reply)
    {
    }

    public static function of(School $school): self
    {
        return new self($school->sender_name ?? $school->name, $school->sender_email ?? config()->string('mail.from.address'), $school->reply_email);
    }

    public function __toString(): string
    {
        return "{$this->name} <{$this->address}>";
    }
}
