<?php

declare(strict_types=1);

namespace App\Learning\Progress;

/** A statement is none, or speaks of nobody or nothing here. */
final class StatementRefused extends \DomainException
{
    /**
     * @param  string  $pointer  JSON pointer into what was sent
     * @param  bool  $collides  it has the id of another that says something else
     */
    public function __construct(public readonly string $pointer, string $message, public readonly bool $collides = false)
    {
        parent::__construct($message);
    }
}
