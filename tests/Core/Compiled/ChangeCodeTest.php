<?php

declare(strict_types=1);

namespace Tests\Core\Compiled;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\ChangeCode;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Time\Instant;

final class ChangeCodeTest extends TestCase
{
    #[DataProvider('changes')]
    public function test_a_change_is_told_as_it_was_put_in(string $at, string $letter, State $state): void
    {
        $at = Instant::parse($at);
        $told = ChangeCode::told(ChangeCode::of($at, $letter));

        self::assertSame([$at, $state], [$told?->at, $told?->state]);
    }

    /** @return iterable<string, array{string, string, State}> */
    public static function changes(): iterable
    {
        yield 'opens' => ['2026-06-01T08:00:00Z', 'o', State::Open];
        yield 'locks' => ['2026-06-01T08:00:00Z', 'l', State::Locked];
        yield 'hides' => ['2026-06-01T08:00:00Z', 'h', State::Hidden];
        yield 'before numbers of seconds began' => ['1969-12-31T23:59:59Z', 'h', State::Hidden];
        yield 'at the end of what has four digits' => ['9999-12-31T23:59:59Z', 'l', State::Locked];
    }

    public function test_what_comes_earlier_is_less_and_nothing_is_the_most(): void
    {
        $inOrder = [ChangeCode::of(-1, 'h'), ChangeCode::opening(0), ChangeCode::of(0, 'l'), ChangeCode::of(0, 'h'), ChangeCode::opening(1), ChangeCode::of(Instant::parse('9999-12-31T23:59:59Z'), 'h'), ChangeCode::NONE];
        $sorted = $inOrder;
        sort($sorted);

        self::assertSame($inOrder, $sorted);
        self::assertSame(ChangeCode::of(5, 'o'), ChangeCode::opening(5));
        self::assertNull(ChangeCode::told(ChangeCode::NONE));
    }
}
