<?php

declare(strict_types=1);

namespace Tests\Core\Rules;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Conditions\MomentFacts;
use SilentKeep\Core\Conditions\UndatedFacts;
use SilentKeep\Core\Rules\AllOf;
use SilentKeep\Core\Rules\AnyOf;
use SilentKeep\Core\Rules\Condition;
use SilentKeep\Core\Rules\FromInstant;
use SilentKeep\Core\Rules\HasLabel;
use SilentKeep\Core\Rules\IsDone;
use SilentKeep\Core\Rules\NotSo;
use SilentKeep\Core\Rules\OfKind;
use SilentKeep\Core\Rules\Truth;
use SilentKeep\Core\Rules\UntilInstant;
use SilentKeep\Core\Rules\ViewerKind;
use Tests\Core\Documents as D;

final class ConditionsTest extends TestCase
{
    private const NOW = 1000;

    #[DataProvider('readings')]
    public function test_a_condition_is_read_in_three_senses(Condition $condition, Truth $asItStands, Truth $asItMayCome, Truth $timeless): void
    {
        [$decider, $offer] = D::deciderOf(D::plan([D::lesson('done'), D::lesson('undone'), D::module('empty', [])]), 'o');
        $outline = $decider->course->outline;
        $coverage = $decider->prepared->coverage($offer);
        $done = [0 => true];

        self::assertSame($asItStands, $condition->read(MomentFacts::asItStands($outline, ['red'], $done, self::NOW, ViewerKind::Learner, $offer, $coverage)), 'as it stands');
        self::assertSame($asItMayCome, $condition->read(MomentFacts::asItMayCome($outline, ['red'], $done, self::NOW, $offer, $coverage)), 'as it may come');
        self::assertSame($timeless, $condition->read(new UndatedFacts($offer, ['red'])), 'whatever comes');
    }

    /** @return \Generator<string, array{Condition, Truth, Truth, Truth}> */
    public static function readings(): \Generator
    {
        [$yes, $open, $no] = [Truth::Yes, Truth::Open, Truth::No];
        yield 'a label held' => [new HasLabel('red'), $yes, $yes, $yes];
        yield 'a label not held' => [new HasLabel('gold'), $no, $no, $no];
        yield 'a kind' => [new OfKind(ViewerKind::Learner), $yes, $yes, $yes];
        yield 'another kind' => [new OfKind(ViewerKind::Guest), $no, $no, $no];
        yield 'done' => [new IsDone(0), $yes, $yes, $open];
        yield 'not done yet' => [new IsDone(1), $no, $open, $open];
        yield 'a module that can never be done' => [new IsDone(2), $no, $no, $open];
        yield 'from a past instant' => [new FromInstant(999), $yes, $yes, $open];
        yield 'from now' => [new FromInstant(1000), $yes, $yes, $open];
        yield 'from a later instant' => [new FromInstant(1001), $no, $open, $open];
        yield 'until a later instant' => [new UntilInstant(1001), $yes, $open, $open];
        yield 'until now' => [new UntilInstant(1000), $no, $no, $open];
        yield 'not what is open stays open' => [new NotSo(new IsDone(1)), $yes, $open, $open];
        yield 'not a label' => [new NotSo(new HasLabel('red')), $no, $no, $no];
        yield 'all, one of them false' => [new AllOf([new IsDone(1), new HasLabel('gold')]), $no, $no, $no];
        yield 'all, one of them open' => [new AllOf([new IsDone(1), new HasLabel('red')]), $no, $open, $open];
        yield 'all of nothing' => [new AllOf([]), $yes, $yes, $yes];
        yield 'any, one of them true' => [new AnyOf([new IsDone(1), new HasLabel('red')]), $yes, $yes, $yes];
        yield 'any, one of them open' => [new AnyOf([new IsDone(1), new HasLabel('gold')]), $no, $open, $open];
        yield 'any of nothing' => [new AnyOf([]), $no, $no, $no];
    }
}
