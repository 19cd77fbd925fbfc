<?php

declare(strict_types=1);

namespace Tests\Sightlines;

use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Drafts\EditsDrafts;
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
        self::assertSame(['Here: still Mon 9 Mar, 09:00.'], $this->dates('holder:8:apprentice-pass', ['items' => ['m-tools'], 'rule' => 'after_start', 'days' => 7, 'time' => '09:00']));
        self::assertSame(['Here: Mon 9 Mar, 09:00 becomes never.'], $this->dates('holder:8:apprentice-pass', ['items' => ['m-tools'], 'rule' => 'held']));
        // Nothing was saved by asking.
        $this->assertDatabaseCount('drafts', 0);
    }

    /** @return iterable<string, array{int, int, string}> day of the pass on Tue 10 March, days of the rule, what is said */
    public static function openingsThatWaitForAMonday(): iterable
    {
        yield 'joined on a Monday, two days more: the Monday after' => [2, 9, 'Here: Mon 16 Mar, 09:00 becomes Mon 23 Mar, 09:00.'];
        yield 'joined on a Sunday, two days more' => [3, 9, 'Here: Mon 16 Mar, 09:00 becomes Mon 23 Mar, 09:00.'];
        yield 'joined on a Saturday, two days more: the same Monday' => [4, 9, 'Here: still Mon 16 Mar, 09:00.'];
        yield 'joined on a Friday, two days more: the same Monday' => [5, 9, 'Here: still Mon 16 Mar, 09:00.'];
        yield 'joined on a Tuesday, two days more: the same Monday' => [8, 9, 'Here: still Mon 16 Mar, 09:00.'];
        yield 'seven days more are always one Monday more' => [4, 14, 'Here: Mon 16 Mar, 09:00 becomes Mon 23 Mar, 09:00.'];
    }

    #[DataProvider('openingsThatWaitForAMonday')]
    public function test_a_drag_of_an_opening_that_waits_for_a_weekday_says_so_where_no_date_changes(int $day, int $days, string $said): void
    {
        $rule = ['items' => ['m-tools'], 'rule' => 'after_start', 'time' => '09:00', 'weekday' => 1];
        $this->post('/keep/courses/clinker/draft/edits', ['version' => 0, 'set' => 'opens', 'plan' => 'weekly', ...$rule, 'days' => 7])->assertSessionHasNoErrors();
        self::assertSame($said, $this->dates("holder:{$day}:apprentice-pass", [...$rule, 'days' => $days])[0]);
    }

    public function test_what_makes_no_sense_is_refused(): void
    {
        $this->postJson('/keep/courses/clinker/draft/dates?v[]=visitor', ['version' => 0, 'set' => 'opens', 'plan' => 'weekly', 'items' => ['m-tools'], 'rule' => 'after_start', 'days' => -1])->assertUnprocessable();
        $this->postJson('/keep/courses/clinker/draft/dates?v[]=visitor', ['version' => 0, 'set' => 'opens', 'plan' => 'no-plan', 'items' => ['m-tools'], 'rule' => 'held'])->assertUnprocessable();
        $this->actingAs($this->person('aksel'))->postJson('/keep/courses/clinker/draft/dates?v[]=visitor', ['version' => 0, 'set' => 'opens', 'plan' => 'weekly', 'items' => ['m-tools'], 'rule' => 'held'])->assertForbidden();
    }
}
