<?php

declare(strict_types=1);

namespace Tests\Core\Compiled;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\Order\Hurdles;
use SilentKeep\Core\Rules\Prerequisites;

final class HurdlesTest extends TestCase
{
    /**
     * @param  non-empty-array<int, Prerequisites>  $after
     * @param  array<int, int>  $some
     * @param  list<int>  $undone
     * @param  list<int>  $shut
     */
    #[DataProvider('hurdles')]
    public function test_so_many_undone_shut_an_item(array $after, array $some, array $undone, array $shut): void
    {
        $hurdles = new Hurdles($after, 8);

        self::assertSame(self::mask($shut), bin2hex($hurdles->shut((string) hex2bin(self::mask($undone)), $hurdles->by($some))));
    }

    /** @return iterable<string, array{non-empty-array<int, Prerequisites>, array<int, int>, list<int>, list<int>}> */
    public static function hurdles(): iterable
    {
        [$all, $any] = [Prerequisites::all(...), Prerequisites::any(...)];
        yield 'one behind one, undone' => [[4 => $all([1])], [], [1, 2], [4]];
        yield 'one behind one, done' => [[4 => $all([1])], [], [2, 4], []];
        yield 'all of two, one undone' => [[5 => $all([0, 1]), 6 => $all([0])], [], [1], [5]];
        yield 'all of two, stood after one that waits for one' => [[5 => $all([0]), 6 => $all([0, 1])], [], [1], [6]];
        yield 'all of three, the last undone' => [[3 => $all([0]), 5 => $all([0, 1, 2])], [], [2], [5]];
        yield 'any of two, one undone' => [[5 => $any([0, 1]), 6 => $any([1, 2])], [5 => 2, 6 => 2], [1], []];
        yield 'any of two, both undone' => [[5 => $any([0, 1]), 6 => $any([1, 2])], [5 => 2, 6 => 2], [1, 2], [6]];
        yield 'any of two, of which one does not count' => [[5 => $any([0, 1]), 6 => $any([1, 2])], [5 => 1, 6 => 2], [1], [5]];
        yield 'any of two that do not count' => [[5 => $any([0, 1]), 6 => $any([1, 2])], [6 => 2], [0, 1, 2], [6]];
        yield 'two of four: three undone shut it' => [[7 => Prerequisites::atLeast(2, [0, 1, 2, 3])], [7 => 3], [0, 2, 3], [7]];
        yield 'two of four: two undone do not' => [[7 => Prerequisites::atLeast(2, [0, 1, 2, 3])], [7 => 3], [0, 3], []];
        yield 'fewer than would shut it' => [[7 => $any([0, 1]), 6 => $any([0, 1, 2])], [6 => 3, 7 => 3], [0, 1, 2], [6]];
        yield 'all beside some' => [[3 => $all([0, 1]), 6 => $any([0, 1, 2]), 7 => $all([4])], [6 => 3], [1, 2], [3]];
        yield 'all beside some, all undone' => [[3 => $all([0, 1]), 6 => $any([0, 1, 2]), 7 => $all([4])], [6 => 3], [0, 1, 2, 4], [3, 6, 7]];
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
