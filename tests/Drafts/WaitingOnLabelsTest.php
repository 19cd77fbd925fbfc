<?php

declare(strict_types=1);

namespace Tests\Drafts;

use App\Drafts\Rules\WaitingOnLabels;
use App\Models\CourseDocument;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Documents as D;

final class WaitingOnLabelsTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $course
     * @param  list<array<string, mixed>>  $items  the row that is asked about has the key `bonus`
     */
    #[DataProvider('rows')]
    public function test_whom_a_row_for_a_label_holds_up(array $course, array $items, ?string $waits): void
    {
        $document = CourseDocument::fromJson(D::json(['course' => ['key' => 'c', ...$course, 'items' => $items], 'offers' => []]));
        $waiting = new WaitingOnLabels($document);
        $found = [];
        foreach ($document->read()->places() as $place) {
            if ($place->item->key() === 'bonus') {
                $found = $waiting->heldUpBy($place);
            }
        }

        self::assertSame($waits, $found->waits ?? null);
    }

    /** @return \Generator<string, array{array<string, mixed>, list<array<string, mixed>>, ?string}> */
    public static function rows(): \Generator
    {
        $bonus = static fn (mixed ...$more): array => D::lesson('bonus', ...['only' => ['label' => 'x'], ...array_filter($more, is_string(...), ARRAY_FILTER_USE_KEY)]);
        $order = ['in_order' => true];
        yield 'in order, before something' => [$order, [$bonus(), D::lesson('next')], 'next'];
        yield 'in no order' => [[], [$bonus(), D::lesson('next')], null];
        yield 'at the end' => [$order, [D::lesson('first'), $bonus()], null];
        yield 'before a board alone' => [$order, [$bonus(), D::board('news')], null];
        yield 'before a draft alone' => [$order, [$bonus(), D::lesson('next', draft: true)], null];
        yield 'before another that is optional' => [$order, [$bonus(), D::lesson('next', optional: true)], 'next'];
        yield 'optional already' => [$order, [$bonus(optional: true), D::lesson('next')], null];
        yield 'inside something optional' => [$order, [D::module('m', [$bonus()], optional: true), D::lesson('next')], null];
        yield 'for no label' => [$order, [D::lesson('bonus', only: ['kind' => 'learner']), D::lesson('next')], null];
        yield 'for those without the label' => [$order, [$bonus(only: ['not' => ['label' => 'x']]), D::lesson('next')], null];
        yield 'for one of two labels' => [$order, [$bonus(only: ['any' => [['label' => 'x'], ['label' => 'y']]]), D::lesson('next')], 'next'];
        yield 'as a part of a module in order' => [$order, [D::module('m', [D::lesson('a'), $bonus()]), D::module('n', [D::lesson('b')])], 'n'];
        yield 'as a part of a module that is named' => [[], [D::module('m', [$bonus()]), D::lesson('z', after: ['all' => ['m']])], 'z'];
        yield 'named itself, which is meant' => [[], [$bonus(), D::lesson('z', after: ['all' => ['bonus']])], null];
    }
}
