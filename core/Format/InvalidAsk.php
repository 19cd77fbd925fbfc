<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

use SilentKeep\Core\Errors\CoreException;

final class InvalidAsk extends \InvalidArgumentException implements CoreException
{
    public static function at(string $pointer, string $message): self
    {
        return new self(($pointer === '' ? '' : $pointer.': ').$message);
    }
}
