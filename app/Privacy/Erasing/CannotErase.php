<?php

declare(strict_types=1);

namespace App\Privacy\Erasing;

use App\Words\Say;

/** Somebody who cannot be erased as they are. */
final class CannotErase extends \DomainException
{
    public static function staff(): self
    {
        return new self(Say::text('privacy_told.refused.staff'));
    }

    public static function already(): self
    {
        return new self(Say::text('privacy_told.refused.already'));
    }
}
