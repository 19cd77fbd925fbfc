<?php

declare(strict_types=1);

namespace App\People\Acts;

/** Says in plain words why something cannot be done to people. */
final class CannotAct extends \RuntimeException
{
    /** @param  ?string  $field  of the form; null: none stands for it */
    public function __construct(string $message, public readonly ?string $field = null)
    {
        parent::__construct($message);
    }
}
