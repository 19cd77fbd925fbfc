<?php

declare(strict_types=1);

namespace Tests\Core\Rules;

use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Rules\AllOf;
use SilentKeep\Core\Rules\AnyOf;
use SilentKeep\Core\Rules\ConditionLeaves;
use SilentKeep\Core\Rules\FromInstant;
use SilentKeep\Core\Rules\HasLabel;
use SilentKeep\Core\Rules\NotSo;

final class ConditionLeavesTest extends TestCase
{
    public function test_they_are_found_however_deep_they_stand(): void
    {
        $oar = new HasLabel('oar-bonus');
        $from = new FromInstant(0);

        self::assertSame([$oar], ConditionLeaves::of($oar));
        self::assertSame([$oar, $from, $oar], ConditionLeaves::of(new AllOf([$oar, new NotSo(new AnyOf([$from, new NotSo($oar)]))])));
        self::assertSame([], ConditionLeaves::of(new AnyOf([])));
    }
}
