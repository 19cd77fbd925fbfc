<?php

declare(strict_types=1);

namespace App\People\Import;

/** Says in plain words why a file cannot be read at all. */
final class NotReadable extends \RuntimeException
{
}
