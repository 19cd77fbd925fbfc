<?php

declare(strict_types=1);

namespace Tests\Core\Compiled;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\Order\Hurdles;

final class HurdlesTest extends TestCase
{
    /**
     * @param  non-empty-array<int, list<int>>  $waitsFor
     * @param  list<int>  $undone
     * @param  list<int>  $shut
     */
    #[DataProvider('hurdles')]
    public function test_so_many_undone_shut_an_item(array $waitsFor, int $suffices, array $undone, array $shut): void
    {
        self::assertSame(self::mask($shut), bin2hex((new Hurdles($waitsFor, $suffices, 8))->shut((string) hex2bin(self::mask($undone)))));
    }

    /** @return iterable<string, array{non-empty-array<int, list<int>>, int, list<int>, list<int>}> */
    public static function hurdles(): iterable
    {
        yield 'one behind one, undone' => [[4 => [1]], 1, [1, 2], [4]];
        yield 'one behind one, done' => [[4 => [1]], 1, [2, 4], []];
        yield 'all of two, one undone' => [[5 => [0, 1], 6 => [0]], 1, [1], [5]];
        yield 'any of two, one undone' => [[5 => [0, 1], 6 => [1, 2]], 2, [1], []];
        yield 'any of two, both undone' => [[5 => [0, 1], 6 => [1, 2]], 2, [1, 2], [6]];
        yield 'two of four: three undone shut it' => [[7 => [0, 1, 2, 3]], 3, [0, 2, 3], [7]];
        yield 'two of four: two undone do not' => [[7 => [0, 1, 2, 3]], 3, [0, 3], []];
        yield 'fewer than would shut it' => [[7 => [0, 1], 6 => [0, 1, 2]], 3, [0, 1, 2], [6]];
    }

    /** @param  list<int>  $items */
    private static function mask(array $items): string
    {
        $mask = str_repeat("\x00", 8);
        foreach ($items as $item) {
            $mask[$item] = "\x01";
        }

        return bin2hex($mask);
    }
}
