<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Models\Course;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Who gained and lost between two instants, and by what: it adds up, and is what the past says of both. */
final class WhatChangedTest extends TestCase
{
    use AgreesWithThePast;
    use AsksWhatChanged;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_each_cause_is_told_with_whom_and_adds_up(): void
    {
        $this->at('2026-03-11T09:00:00Z');
        $this->act('birk', ['do' => 'withdraw', 'offer' => 'apprentice-pass']);
        $this->at('2026-03-11T09:05:00Z');
        $this->act('eira', ['do' => 'extend', 'offer' => 'apprentice-pass', 'days' => 30]);
        $this->at('2026-03-11T09:10:00Z');
        $new = Person::query()->create(['name' => 'Siv Aune', 'email' => 'siv@alder.test']);
        $this->post('/keep/people/acts', ['do' => 'give', 'offer' => 'apprentice-pass', 'people' => [(string) $new->id]])->assertSessionHasNoErrors();
        $this->at('2026-03-11T09:15:00Z');
        $this->publish(['set' => 'opens', 'items' => ['m-tools'], 'plan' => 'weekly', 'rule' => 'after_start', 'days' => 20], 'tighter pace');
        $this->at('2026-03-12T12:00:00Z');

        $page = $this->page('from=2026-03-11T09:30&until=2026-03-12T13:00');
        $causes = array_column($page->causes, null, 'words');
        self::assertSame([], array_diff(['Passes were given or bought', 'Passes were extended', 'Revision 2 went live (“tighter pace”), Wed 11 Mar, 10:15'], array_keys($causes)));
        self::assertSame(['Siv Aune'], array_column($causes['Passes were given or bought']->counts[0]->some, 'name'));
        self::assertSame([['longer', ['Eira Holm']]], array_map(static fn (\stdClass $count): array => [$count->effect, array_column($count->some, 'name')], $causes['Passes were extended']->counts));
        self::assertContains($causes['Revision 2 went live (“tighter pace”), Wed 11 Mar, 10:15']->counts[0]->effect, ['lose', 'pause']);
        $this->assertAddsUp($page);
        // He had a pass that was still to begin, and has none any more.
        self::assertSame([['never', ['Birk Solheim']]], array_map(static fn (\stdClass $count): array => [$count->effect, array_column($count->some, 'name')], $causes['Passes were withdrawn']->counts));
    }

    public function test_it_is_what_the_past_says_of_both_instants(): void
    {
        $this->tied();
        DB::table('observer_ties')->insert(['observer_id' => $this->person('odd')->id, 'learner_id' => $this->person('birk')->id]);
        $this->act('birk', ['do' => 'withdraw', 'offer' => 'apprentice-pass']);
        $this->at('2026-03-16T09:00:00Z');
        $this->publish(['set' => 'opens', 'items' => ['m-tools'], 'plan' => 'weekly', 'rule' => 'after_start', 'days' => 2], 'sooner');
        $this->act('ylva', ['do' => 'grant', 'course' => 'clinker', 'item' => 'l-launch']);
        $this->at('2026-03-30T09:00:00Z');
        $this->publish(['set' => 'opens', 'items' => ['m-tools'], 'plan' => 'weekly', 'rule' => 'after_start', 'days' => 40], 'later');
        $this->at('2026-04-20T09:00:00Z');
        foreach ([['2026-03-10T12:00:00Z', '2026-04-20T08:59:00Z'], ['2026-03-16T08:00:00Z', '2026-03-16T10:00:00Z'], ['2026-03-20T00:00:00Z', '2026-04-01T00:00:00Z'], ['2025-12-01T00:00:00Z', '2026-03-09T00:00:00Z']] as [$from, $until]) {
            $this->assertIsWhatThePastSays($this->course(), (int) strtotime($from), (int) strtotime($until));
        }
    }

    public function test_a_publication_alone_is_told_beside_what_was_rehearsed(): void
    {
        $this->at('2026-03-11T09:00:00Z');
        $this->post('/keep/courses/clinker/draft/edits', ['version' => 0, 'set' => 'only', 'items' => ['m-finish'], 'value' => ['label' => 'oar-bonus']])->assertSessionHasNoErrors();
        $version = DB::table('drafts')->value('version');
        $rehearsal = $this->get('/keep/courses/clinker/rehearsal?for=2026-03-13T10:00')->assertOk();
        $this->put('/keep/courses/clinker/publication', ['version' => $version, 'at' => '2026-03-13T10:00', 'receipt' => $rehearsal->inertiaProps('receipt'), 'note' => 'journeymen'])->assertSessionHasNoErrors();
        $foretold = array_column((array) $rehearsal->inertiaProps('totals'), 'count', 'effect');
        self::assertGreaterThan(0, $foretold['lose'] ?? 0);
        // In between somebody joins, and somebody is taken out of it.
        $this->at('2026-03-12T09:00:00Z');
        $new = Person::query()->create(['name' => 'Siv Aune', 'email' => 'siv@alder.test']);
        $this->post('/keep/people/acts', ['do' => 'give', 'offer' => 'apprentice-pass', 'people' => [(string) $new->id]]);
        $this->act('eira', ['do' => 'withdraw', 'offer' => 'apprentice-pass']);
        $this->at('2026-03-13T09:00:00Z');
        $this->artisan('keep:publish-due');
        $this->inAnotherProcess();
        $this->at('2026-03-13T10:00:00Z');

        $page = $this->page('revision=2');
        self::assertSame(2, $page->revision);
        $rows = array_column(array_map(get_object_vars(...), $page->foretold->rows), null, 'effect');
        self::assertSame($foretold['lose'], $rows['lose']['foretold']);
        // One more, one fewer.
        self::assertSame($foretold['lose'], $rows['lose']['came']);
        $why = array_column($page->foretold->why, null, 'words');
        self::assertSame(['one more than foretold: lost it', ['Siv Aune']], [$why['Passes were given or bought']->counts[0]->words, array_column($why['Passes were given or bought']->counts[0]->some, 'name')]);
        self::assertSame(['one fewer: lost it', ['Eira Holm']], [$why['Passes were withdrawn']->counts[0]->words, array_column($why['Passes were withdrawn']->counts[0]->some, 'name')]);
        $this->assertAddsUp($page);
        self::assertSame(['revision'], array_values(array_unique(array_map(static fn (\stdClass $cause): string => explode(' ', $cause->key)[0], $page->causes))));
    }

    public function test_published_without_a_rehearsal_says_so(): void
    {
        $this->at('2026-03-11T09:00:00Z');
        $this->publish(['set' => 'opens', 'items' => ['m-tools'], 'plan' => 'weekly', 'rule' => 'after_start', 'days' => 2], 'sooner');
        self::assertNull($this->page('revision=2')->foretold);
    }

    /** Before the first revision it was taken for open, by the rules that came later. */
    public function test_before_anything_was_published_nothing_is_open(): void
    {
        $first = (int) DB::table('ledger')->min('at');
        $this->assertIsWhatThePastSays($this->course(), $first - 86_400, $first + 86_400 * 200);
    }

    public function test_visitors_and_guests_are_told_too(): void
    {
        $this->at('2026-03-11T09:00:00Z');
        $this->publish(['set' => 'sample', 'items' => ['l-steam'], 'value' => 'yes'], 'a look');
        self::assertContains('Visitors', array_column($this->page('revision=2')->kinds, 'who'));
    }

    public function test_somebody_whose_pass_is_there_no_more_is_counted(): void
    {
        $this->at('2026-03-11T09:00:00Z');
        Pass::query()->where('person_id', $this->person('eira')->id)->delete();
        $this->at('2026-03-12T09:00:00Z');
        $causes = array_column($this->page('from=2026-03-11T09:30&until=2026-03-12T09:00')->causes, null, 'words');
        self::assertSame(['Eira Holm'], array_column($causes['Passes were taken back as if never given']->counts[0]->some, 'name'));
    }

    /** All who hold something now were counted, and took part in what was years before them. */
    public function test_whoever_held_nothing_yet_is_not_counted(): void
    {
        $this->at('2026-03-11T09:00:00Z');
        $this->publish(['set' => 'sample', 'items' => ['l-steam'], 'value' => 'yes'], 'a look');
        $before = $this->page('revision=2');
        $this->at('2026-03-12T09:00:00Z');
        $new = Person::query()->create(['name' => 'Siv Aune', 'email' => 'siv@alder.test']);
        $this->post('/keep/people/acts', ['do' => 'give', 'offer' => 'apprentice-pass', 'people' => [(string) $new->id]])->assertSessionHasNoErrors();
        DB::table('people_counts')->delete();
        self::assertEquals([$before->among, $before->touched, $before->totals], [($after = $this->page('revision=2'))->among, $after->touched, $after->totals]);
    }

    public function test_times_that_make_no_sense_are_told(): void
    {
        foreach (['from=x', 'until=soon', 'from=2026-03-12T09:00&until=2026-03-11T09:00', 'from=2027-01-01T00:00', 'revision=99', 'revision=x'] as $query) {
            self::assertSame('Please give two times, the first before the second.', $this->page($query)->wrong, $query);
        }
        self::assertSame(0, DB::table('people_counts')->count());
    }

    public function test_editors_see_it_of_their_courses_alone(): void
    {
        $this->person('aksel')->forceFill(['role' => 'editor'])->save();
        DB::table('edited_courses')->insert(['person_id' => $this->person('aksel')->id, 'course_id' => $this->course()->id]);
        $other = Course::query()->where('key', '!=', 'clinker')->firstOrFail();
        $this->actingAs($this->person('aksel'))->get('/keep/courses/clinker/changed')->assertOk();
        self::assertNotSame(200, $this->get("/keep/courses/{$other->key}/changed")->getStatusCode());
    }

    /** Of somebody who holds nothing of it any more, who edits it knows no name. */
    public function test_editors_are_told_no_names_but_of_those_they_may_know(): void
    {
        $this->at('2026-03-11T09:00:00Z');
        Pass::query()->where('person_id', $this->person('eira')->id)->delete();
        $this->at('2026-03-12T09:00:00Z');
        $this->person('aksel')->forceFill(['role' => 'editor'])->save();
        DB::table('edited_courses')->insert(['person_id' => $this->person('aksel')->id, 'course_id' => $this->course()->id]);
        $this->actingAs($this->person('aksel'));
        $causes = array_column($this->page('from=2026-03-11T09:30&until=2026-03-12T09:00')->causes, null, 'words');
        self::assertSame(['somebody who is gone'], array_column($causes['Passes were taken back as if never given']->counts[0]->some, 'name'));
    }

    public function test_the_number_of_queries_does_not_grow_with_people_or_causes(): void
    {
        $count = function (string $query): int {
            $this->page($query);
            DB::enableQueryLog();
            DB::flushQueryLog();
            $this->page($query);

            return count(DB::getQueryLog());
        };
        $few = $count('from=2026-03-09T23:00&until=2026-03-09T23:30');
        $this->at('2026-03-11T09:00:00Z');
        foreach (['eira', 'kaia', 'ylva', 'odd'] as $name) {
            $this->act($name, ['do' => 'withdraw', 'offer' => 'apprentice-pass']);
            $this->act($name, ['do' => 'label', 'label' => 'oar-bonus']);
        }
        $this->at('2026-03-12T09:00:00Z');
        self::assertSame($few, $count('from=2025-12-01T00:00&until=2026-03-12T09:00'));
    }
}
