<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

/** One thing that is wrong with a document, and where. */
final readonly class Offence
{
    /** @param  string  $pointer  JSON pointer (RFC 6901); for a missing key the one at which it would stand */
    public function __construct(public string $pointer, public string $message)
    {
    }

    public function __toString(): string
    {
        return ($this->pointer === '' ? '(the whole document)' : $this->pointer).': '.$this->message;
    }
}
