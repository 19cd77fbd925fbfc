<?php

declare(strict_types=1);

namespace App\Labels;

use App\Words\Say;

/** A label cannot be called so. */
final class CannotRename extends \DomainException
{
    public static function gone(string $label): self
    {
        return new self(Say::text('school_told.labels.gone', ['label' => $label]));
    }

    public static function taken(string $label): self
    {
        return new self(Say::text('school_told.labels.taken', ['label' => $label]));
    }
}
