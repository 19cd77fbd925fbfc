<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

/** Whether a condition holds; open means that it may still turn out either way. */
enum Truth: int
{
    case No = 0;
    case Open = 1;
    case Yes = 2;

    public static function of(bool $holds): self
    {
        return $holds ? self::Yes : self::No;
    }

    public function negated(): self
    {
        return self::from(2 - $this->value);
    }
}
