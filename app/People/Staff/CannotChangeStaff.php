<?php

declare(strict_types=1);

namespace App\People\Staff;

use App\Words\Say;

/** Somebody cannot be given, or relieved of, a role. */
final class CannotChangeStaff extends \DomainException
{
    /** @param  string  $field  that it is told at */
    private function __construct(string $message, public readonly string $field)
    {
        parent::__construct($message);
    }

    public static function last(): self
    {
        return new self(Say::text('staff_told.last'), 'role');
    }

    public static function meanwhile(): self
    {
        return new self(Say::text('staff_told.meanwhile'), 'role');
    }

    public static function already(string $name): self
    {
        return new self(Say::text('staff_told.already', ['name' => $name]), 'email');
    }

    public static function nameless(): self
    {
        return new self(Say::text('staff_told.nameless'), 'name');
    }
}
