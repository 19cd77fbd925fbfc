<?php

declare(strict_types=1);

namespace SilentKeep\Core\Watching;

use SilentKeep\Core\Errors\CoreException;

final class InvalidReport extends \InvalidArgumentException implements CoreException
{
    public static function notSegments(string $text): self
    {
        return new self('Not played segments such as 0[.]62.5[,]60[.]118: '.json_encode(mb_strimwidth(mb_scrub($text), 0, 60, '…')));
    }

    public static function notAStatement(): self
    {
        return new self('Not a statement: it needs a UUID as its id, the id of a verb, and text as its played segments.');
    }

    public static function tooMany(int $most): self
    {
        return new self("At most {$most} statements at once.");
    }

    public static function videoHasNoLength(): self
    {
        return new self('A video must be longer than no seconds.');
    }
}
