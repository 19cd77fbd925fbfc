<?php

declare(strict_types=1);

namespace Tests\Learning;

use Inertia\Testing\AssertableInertia as Page;
use Tests\Drafts\EditsDrafts;
use Tests\Factories\CompletionFactory;
use Tests\TestCase;

/** Optional lessons stand beside what is asked for: on the learner's pages, and in what the school counts. */
final class OptionalTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    /** @return array<array-key, mixed> */
    private function frame(string $name): array
    {
        $frame = $this->actingAs($this->person($name))->get('/courses/clinker')->assertOk()->inertiaProps('course');

        return is_array($frame) ? $frame : [];
    }

    public function test_progress_counts_them_apart(): void
    {
        self::assertSame([3, 8, 1], array_map(fn (string $of): mixed => $this->frame('jorunn')[$of], ['finished', 'lessons', 'more']));
        CompletionFactory::new()->of($this->person('jorunn'))->at($this->course(), 'l-bonus')->createOne(['completed_at' => '2026-03-09 12:00:00']);
        $this->inAnotherProcess();
        self::assertSame([3, 8, 0], array_map(fn (string $of): mixed => $this->frame('jorunn')[$of], ['finished', 'lessons', 'more']));
        $mine = $this->actingAs($this->person('jorunn'))->get('/courses')->inertiaProps('courses');
        self::assertContains([3, 8, 0], is_array($mine) ? array_map(static fn (mixed $one): array => is_array($one) ? [$one['finished'], $one['lessons'], $one['more']] : [], $mine) : []);
        $people = $this->actingAs($this->person('hege'))->get('/keep/people?find=jorunn')->inertiaProps('people');
        // The list and the page of one person count as the learner's own page does: what it asks of them.
        self::assertSame(['3 of 8'], is_array($people) ? array_column($people, 'progress') : []);
        $this->get('/keep/people/'.$this->person('jorunn')->id)->assertInertia(fn (Page $page) => $page->where('progress.0.finished', 3)->where('progress.0.lessons', 8));
    }

    public function test_the_path_says_which_they_are(): void
    {
        $optional = array_filter((array) $this->frame('jorunn')['path'], static fn (mixed $row): bool => is_array($row) && $row['optional'] === true);
        self::assertSame(['l-bonus'], array_column($optional, 'key'));
        self::assertNotContains('l-bonus', array_column((array) $this->frame('eira')['path'], 'key'));
    }

    public function test_it_is_set_in_the_draft_for_rows_at_once(): void
    {
        $this->actingAs($this->person('hege'));
        $this->edit(0, 'optional', ['l-timber', 'l-steam'], ['value' => 'yes'])->assertSessionHasNoErrors();
        self::assertTrue($this->item('l-steam')->optional);
        $this->edit(1, 'optional', ['l-steam'], ['value' => 'no'])->assertSessionHasNoErrors();
        self::assertObjectNotHasProperty('optional', $this->item('l-steam'));
        $this->edit(2, 'optional', ['l-steam'], ['value' => 'maybe'])->assertSessionHasErrors('value');
        $rules = $this->get('/keep/courses/clinker')->inertiaProps('rules');
        $rows = $this->get('/keep/courses/clinker')->inertiaProps('rows');
        self::assertIsArray($rules);
        self::assertIsArray($rows);
        $rule = $rules[(int) array_search('l-timber', array_column($rows, 'key'), true)];
        self::assertSame(['words' => 'yes', 'own' => true, 'edited' => true], is_array($rule) ? $rule['optional'] : null);
        $changes = $this->get('/keep/courses/clinker/rehearsal')->inertiaProps('changes');
        self::assertStringContainsString('optional is now yes (was: no)', (string) json_encode($changes));
    }
}
