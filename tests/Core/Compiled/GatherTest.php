<?php

declare(strict_types=1);

namespace Tests\Core\Compiled;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\Gather;

final class GatherTest extends TestCase
{
    /** @param  array<int, int>  $places */
    #[DataProvider('places')]
    public function test_each_item_gets_the_byte_of_its_place(array $places, int $items, int $length): void
    {
        mt_srand(3);
        $from = '';
        for ($at = 0; $at < $length; $at++) {
            $from .= chr(mt_rand(0, 1));
        }
        $expected = '';
        for ($item = 0; $item < $items; $item++) {
            $expected .= isset($places[$item]) ? $from[$places[$item]] : "\x00";
        }

        self::assertSame(bin2hex($expected), bin2hex((new Gather($places, $items))->from($from)));
    }

    /** @return iterable<string, array{array<int, int>, int, int}> */
    public static function places(): iterable
    {
        yield 'some have none' => [[0 => 2, 3 => 0], 5, 3];
        yield 'many have the same' => [[0 => 1, 1 => 1, 2 => 1], 3, 2];
        yield 'the first and the last of the first 255' => [[0 => 0, 1 => 254, 2 => 253], 3, 255];
        yield 'beyond the first 255' => [[0 => 254, 1 => 255, 2 => 256, 3 => 509, 4 => 510, 5 => 600], 7, 601];
        yield 'a whole course back to front' => [array_map(static fn (int $item): int => 999 - $item, range(0, 999)), 1000, 1000];
    }
}
