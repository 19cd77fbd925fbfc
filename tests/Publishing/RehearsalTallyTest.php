<?php

declare(strict_types=1);

namespace Tests\Publishing;

use App\Publishing\RehearsalTally;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Foresight\Effect;
use SilentKeep\Core\Foresight\ImpactTally;

final class RehearsalTallyTest extends TestCase
{
    #[DataProvider('effects')]
    public function test_who_loses_is_counted_once_whatever_they_lose(Effect $effect, bool $takes): void
    {
        $group = new ImpactTally(['a', 'b']);
        $group->add('one', [0 => $effect, 1 => $effect]);
        $group->add('two', [1 => $effect]);
        $group->add('three', []);
        $tally = RehearsalTally::none();
        $tally->add($group);
        self::assertSame([3, $takes ? 2 : 0], [$tally->people, $tally->losers]);
        self::assertSame([2, ['one', 'two']], $tally->touched[$effect->value]);
        self::assertEquals($tally, RehearsalTally::fromJson($tally->toJson()));
    }

    /** @return iterable<string, array{Effect, bool}> */
    public static function effects(): iterable
    {
        foreach (Effect::cases() as $effect) {
            yield $effect->value => [$effect, in_array($effect->value, ['lose', 'pause', 'lose_work', 'shorter', 'later', 'never'], true)];
        }
    }

    public function test_groups_add_up_and_the_first_of_them_are_named(): void
    {
        $tally = RehearsalTally::none();
        foreach ([0, 1] as $half) {
            $group = new ImpactTally(['a']);
            for ($n = 0; $n < 80; $n++) {
                $group->add("p{$half}-{$n}", [0 => Effect::Gain]);
            }
            $tally->add($group);
        }
        [$count, $named] = $tally->items['a']['gain'];
        // Names are in order within a group.
        self::assertSame([160, 160, 160, 24], [$tally->people, $count, count($named), count($tally->named())]);
    }
}
