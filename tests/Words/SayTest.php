<?php

declare(strict_types=1);

namespace Tests\Words;

use App\Words\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SayTest extends TestCase
{
    /** @return array<string, array{string, list<string>}> */
    public static function patterns(): array
    {
        return [
            'nothing' => ['Leave it', []],
            'one, twice' => ['{name} and {name}', ['name']],
            'of a type' => ['{n, number} of {all, number, integer}', ['n', 'all']],
            'branches of one word are no placeholders' => ['Make {count, plural, one {it} other {them}} optional', ['count']],
            'what stands in branches is one' => ['{count, plural, =0 {Nothing} other {# of {rows} rows}} at {place}', ['count', 'rows', 'place']],
            'a choice within a plural' => ['{n, plural, one {{kind, select, a {an} other {{article}}} row} other {rows}}{end}', ['n', 'kind', 'article', 'end']],
            'an empty branch' => ['{name}{more, plural, =0 {} other { and # more}}', ['name', 'more']],
        ];
    }

    /** @param  list<string>  $needed */
    #[DataProvider('patterns')]
    public function test_what_must_go_in_a_pattern(string $pattern, array $needed): void
    {
        self::assertSame($needed, Say::placeholders($pattern));
    }
}
