<?php

declare(strict_types=1);

namespace App\School\Letters;

use App\Models\Person;

/** One letter that is to be written: to whom, and with what in its words. */
final readonly class LetterTo
{
    /**
     * @param  ?int  $personId  null: somebody who has no account
     * @param  array<string, string>  $values  by placeholder, without name, school and contact
     * @param  ?string  $once  what it is about: a second one about the same is not sent
     * @param  ?string  $stop  address at which they stop it; null: that of the kind
     * @param  ?Person  $reader  in whose language it is; null: in that of the school
     */
    private function __construct(public ?int $personId, public string $name, public string $address, public array $values, public ?string $once, public ?string $stop, public ?Person $reader)
    {
    }

    /** @param  array<string, string>  $values */
    public static function person(Person $person, array $values, ?string $once = null): self
    {
        return new self($person->id, $person->name, $person->address(), $values, $once, null, $person);
    }

    /** @param  array<string, string>  $values */
    public static function address(?int $personId, string $name, string $address, array $values, string $once, string $stop): self
    {
        return new self($personId, $name, $address, $values, $once, $stop, null);
    }
}
