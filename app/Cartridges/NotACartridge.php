<?php

declare(strict_types=1);

namespace App\Cartridges;

/** A file is no Common Cartridge, or one that is not read for safety's sake. Says why in plain words. */
final class NotACartridge extends \RuntimeException
{
}
