<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Database\Value;
use App\Ledger\Changes\ChangeTally;
use App\Ledger\Changes\Holding;
use App\Ledger\Changes\WhatChanged;
use App\Ledger\Past\Moment;
use App\Ledger\Past\Past;
use App\Ledger\Past\PastLooker;
use App\Models\Course;
use SilentKeep\Core\Deciding\State;

/** Compares what changed between two instants with what was answered at each. */
trait AgreesWithThePast
{
    private function assertIsWhatThePastSays(Course $course, int $from, int $until): void
    {
        $tally = ChangeTally::from(app(WhatChanged::class)->of($course, $from, $until)->result);
        $expected = ['gain' => 0, 'lose' => 0];
        foreach (app(Holding::class)->of($course)->distinct()->pluck('person_id')->map(Value::int(...))->all() as $person) {
            [$was, $is] = [$this->open($course, $person, $from), $this->open($course, $person, $until)];
            $expected['gain'] += count(array_diff($is, $was));
            $expected['lose'] += count(array_diff($was, $is));
        }
        self::assertSame($expected, ['gain' => $tally->all['gain'][0] ?? 0, 'lose' => ($tally->all['lose'][0] ?? 0) + ($tally->all['pause'][0] ?? 0)]);
        foreach ($tally->all as $effect => [$items]) {
            self::assertSame($items, array_sum(array_map(static fn (array $effects): int => $effects[$effect][0] ?? 0, $tally->causes)), $effect);
        }
    }

    /** @return list<string> */
    private function open(Course $course, int $person, int $at): array
    {
        $open = [];
        foreach (app(Past::class)->of($course, new PastLooker($person), new Moment($at))?->answer->decisions() ?? [] as $decision) {
            if ($decision->state === State::Open) {
                $open[] = $decision->item;
            }
        }

        return $open;
    }
}
