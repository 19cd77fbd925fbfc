<?php

declare(strict_types=1);

namespace Tests\Ledger;

use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Observers are counted each with each of the learners they look in on, beside the people. */
final class WhatChangedForObserversTest extends TestCase
{
    use AsksWhatChanged;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_observers_stand_beside_the_rehearsal_too(): void
    {
        $this->tied();
        // One holds nothing of their own, another does.
        foreach (['tora.holm', 'odd'] as $observer) {
            DB::table('observer_ties')->insert(['observer_id' => $this->person($observer)->id, 'learner_id' => $this->person('ylva')->id]);
        }
        $this->at('2026-03-11T09:00:00Z');
        $this->post('/keep/courses/clinker/draft/edits', ['version' => 0, 'set' => 'opens', 'items' => ['m-tools'], 'plan' => 'weekly', 'rule' => 'after_start', 'days' => 300])->assertSessionHasNoErrors();
        $rehearsal = $this->get('/keep/courses/clinker/rehearsal?for=2026-03-13T10:00')->assertOk();
        $this->put('/keep/courses/clinker/publication', ['version' => DB::table('drafts')->value('version'), 'at' => '2026-03-13T10:00', 'receipt' => $rehearsal->inertiaProps('receipt'), 'note' => 'late'])->assertSessionHasNoErrors();
        $foretold = array_column((array) $rehearsal->inertiaProps('observerTotals'), 'count', 'effect');
        $this->at('2026-03-12T09:00:00Z');
        $this->act('eira', ['do' => 'withdraw', 'offer' => 'apprentice-pass']);
        DB::table('observer_ties')->where('learner_id', $this->person('ylva')->id)->delete();
        $this->at('2026-03-13T09:00:00Z');
        $this->artisan('keep:publish-due');
        $this->inAnotherProcess();
        $this->at('2026-03-13T10:00:00Z');

        $told = $this->page('revision=2')->foretold;
        self::assertNotSame([], $foretold);
        self::assertSame($foretold, array_column($told->observerRows, 'foretold', 'effect'));
        self::assertSame([0], array_values(array_unique(array_column($told->observerRows, 'came'))));
        $why = array_column($told->observerWhy, null, 'words');
        self::assertSame(['Tora Holm, with Eira Holm'], array_column($why['Passes were withdrawn']->counts[0]->some, 'name'));
        self::assertEqualsCanonicalizing(["Tora Holm, with {$this->person('ylva')->name}", "{$this->person('odd')->name}, with {$this->person('ylva')->name}"], array_column($why['Ties between observers and learners were undone']->counts[0]->some, 'name'));
    }

    public function test_observers_are_told_with_whom_they_look_and_add_up(): void
    {
        [$observer, $learner] = $this->tied();
        DB::table('observer_ties')->insert(['observer_id' => $this->person('hege')->id, 'learner_id' => $this->person($learner)->id]);
        $this->at('2026-03-11T09:00:00Z');
        $this->act($learner, ['do' => 'withdraw', 'offer' => 'apprentice-pass']);
        $this->at('2026-03-12T09:00:00Z');
        $page = $this->page('from=2026-03-11T09:30&until=2026-03-12T09:00');
        $causes = array_column($page->observers->causes, null, 'words');
        $told = array_merge(...array_map(static fn (\stdClass $count): array => array_map(get_object_vars(...), $count->some), $causes['Passes were withdrawn']->counts));
        self::assertContains(['id' => $this->person($observer)->id, 'name' => "{$this->person($observer)->name}, with {$this->person($learner)->name}", 'with' => $this->person($learner)->id], $told);
        self::assertSame([1, 1], [$page->observers->touched, $page->observers->looked]);
        $this->assertAddsUp($page->observers);
        // Whoever works for the school sees everything anyway; nor are they among the people.
        self::assertNotContains("{$this->person('hege')->name}, with {$this->person($learner)->name}", array_column($told, 'name'));
        self::assertNotContains($this->person($observer)->name, array_column(array_merge(...array_map(static fn (\stdClass $cause): array => array_merge(...array_column($cause->counts, 'some')), $page->causes)), 'name'));
    }

    public function test_a_tie_that_is_made_and_undone_is_told_of_the_observer(): void
    {
        [$observer, $learner] = $this->tied();
        $this->at('2026-03-11T09:00:00Z');
        DB::table('observer_ties')->where('observer_id', $this->person($observer)->id)->where('learner_id', $this->person($learner)->id)->delete();
        $this->at('2026-03-12T09:00:00Z');
        $observers = $this->page('from=2026-03-11T09:30&until=2026-03-12T09:00')->observers;
        self::assertSame(1, $observers->looked);
        $undone = array_column($observers->causes, null, 'words');
        self::assertContains("{$this->person($observer)->name}, with {$this->person($learner)->name}", array_column($undone['Ties between observers and learners were undone']->counts[0]->some, 'name'));
        DB::table('observer_ties')->insert(['observer_id' => $this->person($observer)->id, 'learner_id' => $this->person($learner)->id]);
        $this->at('2026-03-13T09:00:00Z');
        $made = array_column($this->page('from=2026-03-12T09:30&until=2026-03-13T09:00')->observers->causes, null, 'words');
        self::assertContains($made['Observers were tied to learners']->counts[0]->effect, ['gain', 'gain_work']);
    }
}
