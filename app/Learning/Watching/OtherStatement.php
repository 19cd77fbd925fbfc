<?php

declare(strict_types=1);

namespace App\Learning\Watching;

use App\Words\Say;

/** A statement has the id of one that was taken, and says something else. */
final class OtherStatement extends \DomainException
{
    public static function named(string $id): self
    {
        return new self(Say::text('interface.statements.collides_id', ['id' => $id]));
    }
}
