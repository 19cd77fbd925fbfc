<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Database\Value;
use App\Ledger\Changes\ChangeTally;
use App\Ledger\Changes\WhatChanged;
use App\Ledger\Past\Moment;
use App\Ledger\Past\Past;
use App\Ledger\Past\PastLooker;
use App\Models\Course;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Deciding\State;

/** Compares what changed between two instants with what was answered at each. */
trait AgreesWithThePast
{
    private function assertIsWhatThePastSays(Course $course, int $from, int $until): void
    {
        $count = app(WhatChanged::class)->of($course, $from, $until);
        $holders = DB::table('ledger')->whereIn('subject', ['passes', 'grants'])->where('course_id', $course->id)->where('at', '<=', $until)->whereNotNull('person_id')
            ->whereNotIn('person_id', DB::table('people')->whereNotNull('role')->select('id'))->distinct()->orderBy('person_id')->pluck('person_id')->map(Value::int(...))->all();
        $this->assertTallyIsWhatThePastSays(ChangeTally::from($count->result), array_map(static fn (int $person): PastLooker => new PastLooker($person), array_values($holders)), $course, $from, $until);
        $watching = [];
        foreach (DB::table('ledger')->where('subject', 'observer_ties')->where('what', '!=', 'gone')->where('at', '<=', $until)->whereIntegerInRaw('person_id', $holders)->orderBy('id')->get(['person_id', 'content']) as $tie) {
            $observer = Value::int(((array) json_decode(Value::text($tie->content), true))['observer_id'] ?? null);
            if (DB::table('people')->where('id', $observer)->whereNotNull('role')->doesntExist()) {
                $watching["{$observer} {$tie->person_id}"] = new PastLooker($observer, observed: Value::int($tie->person_id));
            }
        }
        $this->assertTallyIsWhatThePastSays(ChangeTally::observersFrom($count->result), array_values($watching), $course, $from, $until);
    }

    /** @param  list<PastLooker>  $lookers */
    private function assertTallyIsWhatThePastSays(ChangeTally $tally, array $lookers, Course $course, int $from, int $until): void
    {
        $expected = ['looked' => 0, 'gain' => 0, 'lose' => 0];
        foreach ($lookers as $looker) {
            [$was, $is] = [$this->open($course, $looker, $from), $this->open($course, $looker, $until)];
            $expected['looked']++;
            $expected['gain'] += count(array_diff($is, $was));
            $expected['lose'] += count(array_diff($was, $is));
        }
        self::assertSame($expected, ['looked' => $tally->looked, 'gain' => $tally->all['gain'][0] ?? 0, 'lose' => ($tally->all['lose'][0] ?? 0) + ($tally->all['pause'][0] ?? 0)]);
        foreach ($tally->all as $effect => [$items]) {
            self::assertSame($items, array_sum(array_map(static fn (array $effects): int => $effects[$effect][0] ?? 0, $tally->causes)), $effect);
        }
    }

    /** @return list<string> */
    private function open(Course $course, PastLooker $looker, int $at): array
    {
        $open = [];
        foreach (app(Past::class)->of($course, $looker, new Moment($at))?->answer->decisions() ?? [] as $decision) {
            if ($decision->state === State::Open) {
                $open[] = $decision->item;
            }
        }

        return $open;
    }
}
