<?php

declare(strict_types=1);

namespace Tests\Core\Format;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Format\DuplicateMembers;
use SilentKeep\Core\Format\InvalidAsk;
use SilentKeep\Core\Format\JsonArrayStream;

final class JsonArrayStreamTest extends TestCase
{
    /** @param  list<string>  $expected */
    #[DataProvider('lists')]
    public function test_a_list_comes_apart_into_its_elements(string $json, array $expected): void
    {
        self::assertSame($expected, self::elements($json));
    }

    /** @return \Generator<string, array{string, list<string>}> */
    public static function lists(): \Generator
    {
        yield 'empty' => ['[]', []];
        yield 'white space' => [" \n[ \t1 , 2\r\n]\n ", ['1', '2']];
        yield 'objects in lists in objects' => ['[{"a":[{"b":[]}]},[[]]]', ['{"a":[{"b":[]}]}', '[[]]']];
        yield 'brackets and commas in text' => ['["],[{}","a"]', ['"],[{}"', '"a"']];
        yield 'quotes and backslashes in text' => ['["a\\"],[", "\\\\", "\\\\\\""]', ['"a\\"],["', '"\\\\"', '"\\\\\\""']];
        yield 'scalars' => ['[null,true,-1.5e3,"x"]', ['null', 'true', '-1.5e3', '"x"']];
    }

    public function test_elements_may_lie_across_blocks(): void
    {
        // Every length from just below to just above the reader's block, with an escape right at its end.
        for ($length = 65_520; $length < 65_552; $length++) {
            $text = '"'.str_repeat('x', $length).'\\"]"';
            self::assertSame([$text, '7'], self::elements("[{$text},7]"), (string) $length);
        }
    }

    #[DataProvider('broken')]
    public function test_what_is_no_list_is_refused(string $json): void
    {
        $this->expectException(InvalidAsk::class);
        self::elements($json);
    }

    /** @return list<array{string}> */
    public static function broken(): array
    {
        return [[''], ['{}'], ['1'], ['['], ['[1'], ['[1,'], ['["a'], ['["a\\'], ['[{"a":1}'], ['[1]]'], ['[1] 2'], ['[1 2'.'}']];
    }

    public function test_an_element_without_end_is_given_up_before_it_fills_the_memory(): void
    {
        $this->expectExceptionMessage('larger than');
        self::elements('['.str_repeat('[', 9 * 1024 * 1024));
    }

    /** @param  list<string>  $pointers */
    #[DataProvider('objects')]
    public function test_a_name_that_stands_twice_is_found(string $json, array $pointers): void
    {
        self::assertSame($pointers, DuplicateMembers::in($json));
    }

    /** @return \Generator<string, array{string, list<string>}> */
    public static function objects(): \Generator
    {
        yield 'none' => ['{"a":{"a":1},"b":[{"a":1},{"a":2}]}', []];
        yield 'at the top' => ['{"a":1,"a":2}', ['/a']];
        yield 'three times' => ['{"a":1,"a":2,"a":3}', ['/a', '/a']];
        yield 'inside a list' => ['{"l":[1,{"k":1,"k":[]}]}', ['/l/1/k']];
        yield 'after an object with the same name' => ['{"a":{"b":1},"c":{"b":1},"a":2}', ['/a']];
        yield 'written with an escape' => ['{"a":1,"\u0061":2}', ['/a']];
        yield 'with characters that a pointer escapes' => ['{"a/b~c":1,"a/b~c":2}', ['/a~1b~0c']];
        yield 'text that looks like names' => ['{"a":"\",\"a\":","b":1}', []];
        yield 'numbers as names' => ['{"1":1,"01":2,"1":3}', ['/1']];
        yield 'an empty name' => ['{"":1,"":2}', ['/']];
    }

    /** @return list<string> */
    private static function elements(string $json): array
    {
        $stream = fopen('php://memory', 'r+');
        self::assertNotFalse($stream);
        fwrite($stream, $json);
        rewind($stream);

        return iterator_to_array((new JsonArrayStream($stream))->elements(), false);
    }
}
