<?php

declare(strict_types=1);

namespace SilentKeep\Core\Time;

/** A time on the wall clock, in whole seconds since its midnight. */
final readonly class TimeOfDay
{
    private function __construct(public int $seconds)
    {
    }

    /** @throws InvalidTime if it is not `HH:MM` from 00:00 to 23:59 */
    public static function parse(string $text): self
    {
        if (preg_match('/^([01]\d|2[0-3]):([0-5]\d)$/D', $text, $m) !== 1) {
            throw InvalidTime::notATimeOfDay($text);
        }

        return new self((int) $m[1] * 3600 + (int) $m[2] * 60);
    }
}
