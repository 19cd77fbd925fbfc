<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Deciding\StateChange;

/**
 * The first change of an item's state that time alone will bring, as one number: whichever comes earlier is less. It is spelled out
 * when it is read, for most of them nobody reads.
 */
final class ChangeCode
{
    /** Nothing will change. */
    public const NONE = PHP_INT_MAX;

    /** Of what opens and closes again at one instant, opening comes first. */
    private const STATES = [State::Open, State::Locked, State::Hidden];

    private const BY_LETTER = ['o' => 0, 'l' => 1, 'h' => 2];

    private function __construct()
    {
    }

    /**
     * @param  int  $at  an instant, never {@see \SilentKeep\Core\Time\Instant::NEVER}
     * @param  string  $letter  `o`, `l` or `h`: the state from then on
     */
    public static function of(int $at, string $letter): int
    {
        return $at << 2 | (self::BY_LETTER[$letter] ?? 2);
    }

    /** As {@see self::of()}, where it opens. */
    public static function opening(int $at): int
    {
        return $at << 2;
    }

    public static function told(int $code): ?StateChange
    {
        return $code === self::NONE ? null : new StateChange($code >> 2, self::STATES[$code & 3] ?? State::Hidden);
    }
}
