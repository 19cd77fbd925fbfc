<?php

declare(strict_types=1);

namespace Tests\Publishing;

use App\Models\Revision;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/** Publications that are taken back, and the history of all of them. */
final class TakingBackTest extends TestCase
{
    use Rehearses;

    private const NOW = '2026-03-10T12:00:00Z';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool(self::NOW);
        $this->actingAs($this->person('hege'));
    }

    public function test_a_publication_is_taken_back_in_one_step_that_is_a_revision_itself(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->post('/keep/courses/clinker/revisions', ['version' => 1]);
        $this->post('/keep/courses/clinker/revisions/live', ['live' => 2, 'number' => 1, 'receipt' => $this->rehearsal('?back=1')['receipt']]);

        $live = $this->course()->liveRevision;
        self::assertSame([3, 'Back to revision 1'], [$live?->number, $live?->note]);
        self::assertSame(Revision::query()->where('course_id', $this->course()->id)->where('number', 1)->value('document'), $live?->document);
        $this->post('/keep/courses/clinker/revisions/live', ['live' => 2, 'number' => 1]);
        self::assertSame('refused', session('flash')['kind']);
    }

    public function test_a_draft_outlives_a_publication_that_is_taken_back(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->post('/keep/courses/clinker/revisions', ['version' => 1]);
        $this->edit(0, 'sample', ['l-planes'], ['value' => 'yes']);
        $this->post('/keep/courses/clinker/revisions/live', ['live' => 2, 'number' => 1, 'receipt' => $this->rehearsal('?back=1')['receipt']]);
        $page = $this->rehearsal();
        self::assertCount(2, $page['changes']);
        $this->post('/keep/courses/clinker/revisions', ['version' => $page['course']['draftVersion'], 'receipt' => $page['receipt']]);

        self::assertSame(4, $this->course()->liveRevision?->number);
    }

    public function test_history_tells_what_each_publication_changed(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->post('/keep/courses/clinker/revisions', ['version' => 1, 'note' => 'a taste']);

        $this->get('/keep/courses/clinker/revisions')->assertOk()->assertInertia(fn (Page $page) => $page
            ->component('keep/History')
            ->where('revisions.0.number', 2)->where('revisions.0.live', true)->where('revisions.0.author', 'Hege Strand')->where('revisions.0.note', 'a taste')
            ->where('revisions.0.changes.0.segments.1.text', ': sample is now yes (was: no)')
            ->where('revisions.1.number', 1));
    }
}
