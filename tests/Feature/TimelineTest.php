<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

final class TimelineTest extends TestCase
{
    use AsksSightlines;
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_it_tells_the_best_case_and_the_rules_behind_the_bars(): void
    {
        $grid = $this->sightlines('clinker', ['holder:3:apprentice-pass', 'visitor'], lens: 'timeline');
        self::assertSame(strtotime('2026-03-14T08:00:00Z'), $grid->best[0][6]);
        self::assertNull($grid->best[0][9]);
        self::assertSame(strtotime('2026-03-10T12:00:00Z'), $grid->best[1][3]);
        self::assertSame('after_start', $grid->openings->weekly[5]->rule);
        self::assertSame(7, $grid->openings->weekly[5]->days);
        self::assertNull($grid->openings->weekly[6]);
        self::assertNull($this->sightlines('clinker', ['visitor'])->best);
    }

    /**
     * @param  array<string, mixed>  $rule
     * @return list<string>
     */
    private function dates(string $vantage, array $rule): array
    {
        $lines = $this->postJson("/keep/courses/clinker/draft/dates?v[]={$vantage}", ['version' => 0, 'set' => 'opens', 'plan' => 'weekly', ...$rule])->assertOk()->json('lines');
        self::assertIsArray($lines);

        return array_map(static fn (array $line): string => implode('', array_column($line['segments'], 'text')), array_values($lines));
    }

    public function test_a_moved_opening_says_what_follows_before_it_is_kept(): void
    {
        self::assertSame(
            ['Here: Sat 14 Mar, 09:00 becomes Mon 16 Mar, 09:00.'],
            array_slice($this->dates('holder:3:apprentice-pass', ['items' => ['m-tools'], 'rule' => 'after_start', 'days' => 9, 'time' => '09:00']), 0, 1),
        );
        self::assertSame([
            'Here: Mon 9 Mar, 09:00 becomes Wed 11 Mar, 09:00.',
            'Hanging planks follows: Mon 16 Mar, 09:00 becomes Mon 23 Mar, 09:00.',
        ], $this->dates('holder:8:apprentice-pass', ['items' => ['m-tools'], 'rule' => 'after_start', 'days' => 9, 'time' => '09:00']));
        self::assertSame([], $this->dates('holder:8:apprentice-pass', ['items' => ['m-tools'], 'rule' => 'after_start', 'days' => 7, 'time' => '09:00']));
        self::assertSame(['Here: Mon 9 Mar, 09:00 becomes never.'], $this->dates('holder:8:apprentice-pass', ['items' => ['m-tools'], 'rule' => 'held']));
        // Nothing was saved by asking.
        $this->assertDatabaseCount('drafts', 0);
    }

    public function test_what_makes_no_sense_is_refused(): void
    {
        $this->postJson('/keep/courses/clinker/draft/dates?v[]=visitor', ['version' => 0, 'set' => 'opens', 'plan' => 'weekly', 'items' => ['m-tools'], 'rule' => 'after_start', 'days' => -1])->assertUnprocessable();
        $this->postJson('/keep/courses/clinker/draft/dates?v[]=visitor', ['version' => 0, 'set' => 'opens', 'plan' => 'no-plan', 'items' => ['m-tools'], 'rule' => 'held'])->assertUnprocessable();
        $this->actingAs($this->person('aksel'))->postJson('/keep/courses/clinker/draft/dates?v[]=visitor', ['version' => 0, 'set' => 'opens', 'plan' => 'weekly', 'items' => ['m-tools'], 'rule' => 'held'])->assertForbidden();
    }
}
