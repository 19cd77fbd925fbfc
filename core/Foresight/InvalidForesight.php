<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Errors\CoreException;
use SilentKeep\Core\Time\Instant;

final class InvalidForesight extends \InvalidArgumentException implements CoreException
{
    public static function passMustEndAfterItBegins(int $from, int $until): self
    {
        return new self('A pass must end after it begins: '.Instant::format($until).' is not after '.Instant::format($from).'.');
    }

    public static function noSuchItem(string $item): self
    {
        return new self('The course has no such item: '.$item);
    }

    public static function noSuchCourse(string $course): self
    {
        return new self('Neither plan has such a course: '.$course);
    }

    public static function noSuchOffer(string $offer): self
    {
        return new self('The plan has no such offer: '.$offer);
    }
}
