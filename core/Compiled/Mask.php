<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

/**
 * Sets of items as strings of one byte an item, \x01 in and \x00 out, so that PHP's bitwise operators on
 * strings decide a whole course at once.
 */
final class Mask
{
    public const IN = "\x01";

    public const OUT = "\x00";

    private function __construct()
    {
    }

    /** @param  list<bool>  $flags */
    public static function of(array $flags): string
    {
        $mask = '';
        foreach ($flags as $flag) {
            $mask .= $flag ? self::IN : self::OUT;
        }

        return $mask;
    }

    /** With another byte in place of \x01, so that several masks can be laid over each other. */
    public static function as(string $mask, int $byte): string
    {
        return strtr($mask, self::IN, chr($byte));
    }

    /** @return list<int> what is in it, ascending */
    public static function positions(string $mask): array
    {
        $positions = [];
        for ($item = strpos($mask, self::IN); $item !== false; $item = strpos($mask, self::IN, $item + 1)) {
            $positions[] = $item;
        }

        return $positions;
    }
}
