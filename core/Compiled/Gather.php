<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

/**
 * For each item the byte at some place of another string: what is done of that for which it waits, or whether its release
 * step has come. PHP's translation of bytes looks up a whole course in one operation, 255 places at a time.
 */
final class Gather
{
    private const PLACES = 255;

    /** The bytes that stand for the 255 places. */
    private static string $bytes = '';

    /** @var array<int, string> by the number of the 255 places: of each item which of them is its own, \x00 none */
    private readonly array $parts;

    /** @param  array<int, int>  $places  by item: where its byte stands; items left out get \x00 */
    public function __construct(array $places, int $items)
    {
        $bytes = "\x00".self::bytes();
        $parts = [];
        foreach ($places as $item => $place) {
            $part = $place < self::PLACES ? 0 : intdiv($place, self::PLACES);
            $parts[$part] ??= str_repeat(Mask::OUT, $items);
            $parts[$part][$item] = $bytes[1 + $place - $part * self::PLACES];
        }
        $this->parts = $parts;
    }

    private static function bytes(): string
    {
        return self::$bytes = self::$bytes === '' ? implode('', array_map(chr(...), range(1, self::PLACES))) : self::$bytes;
    }

    /** @param  string  $from  as long as the places reach */
    public function from(string $from): string
    {
        $gathered = null;
        $bytes = self::bytes();
        foreach ($this->parts as $part => $items) {
            $found = strtr($items, $bytes, $part === 0 ? $from : substr($from, $part * self::PLACES, self::PLACES));
            $gathered = $gathered === null ? $found : $gathered | $found;
        }

        return $gathered ?? '';
    }
}
