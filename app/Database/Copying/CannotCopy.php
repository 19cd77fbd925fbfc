<?php

declare(strict_types=1);

namespace App\Database\Copying;

use RuntimeException;

/** Nothing was copied; why, in words for whoever runs the machine. */
final class CannotCopy extends RuntimeException
{
}
