<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Console\CleanUp;
use App\Learning\Contents\KeepMedium;
use App\Models\Completion;
use App\Models\Content;
use App\Models\Course;
use App\Models\Draft;
use App\Models\FormerItem;
use App\Models\Medium;
use Illuminate\Support\Facades\Storage;
use Tests\Drafts\EditsDrafts;
use Tests\Publishing\Rehearses;
use Tests\TestCase;

/** What was taken out of a course keeps what it held for thirty days, and its key for good. */
final class FormerItemsTest extends TestCase
{
    use EditsDrafts {
        EditsDrafts::edit insteadof Rehearses;
    }
    use Rehearses;

    private const NOW = '2026-03-10T12:00:00Z';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool(self::NOW);
        $this->actingAs($this->person('hege'));
    }

    private function version(): int
    {
        $version = Draft::query()->where('course_id', $this->course()->id)->value('version');

        return is_int($version) ? $version : 0;
    }

    private function takeOut(string $item): void
    {
        $this->outline($this->version(), ['do' => 'delete', 'items' => [$item], 'meant' => true])->assertSessionHasNoErrors();
    }

    private function add(string $title): void
    {
        $this->outline($this->version(), ['do' => 'add', 'kind' => 'lesson', 'titles' => $title, 'after' => 'l-planes', 'inside' => false])->assertSessionHasNoErrors();
    }

    private function publish(): void
    {
        $page = $this->rehearsal();
        $this->post('/keep/courses/clinker/revisions', ['version' => $page['course']['draftVersion'], 'receipt' => $page['receipt']])->assertSessionHasNoErrors();
    }

    private function holds(string $item): bool
    {
        return Content::query()->where('course_id', $this->course()->id)->where('item_key', $item)->where('text', '!=', '')->exists();
    }

    /** Adds a lesson, and tells which key it got. */
    private function keyOf(string $title): string
    {
        $this->add($title);
        foreach ($this->document()->readItems() as $item) {
            if ($item->title() === $title) {
                return $item->key();
            }
        }
        self::fail("There is no {$title}.");
    }

    public function test_a_new_lesson_of_the_same_title_is_another_lesson(): void
    {
        $this->takeOut('l-rivets');
        self::assertSame('rivets', $this->keyOf('Rivets'));
        $this->publish();
        self::assertTrue(FormerItem::query()->where('item_key', 'l-rivets')->exists());

        $this->takeOut('rivets');
        $this->publish();
        $this->takeOut('l-garboard');
        self::assertSame('rivets-2', $this->keyOf('Rivets'));
        // Before it is published as well: what is live has its key still.
        self::assertSame('l-garboard-2', $this->keyOf('L garboard'));
        $this->publish();
        self::assertFalse(Completion::query()->where('item_key', 'rivets-2')->exists());
    }

    public function test_a_copy_that_was_undone_and_made_again_does_not_hold_what_the_first_was_given(): void
    {
        $this->outline(0, ['do' => 'duplicate', 'item' => 'l-planes'])->assertSessionHasNoErrors();
        self::assertNotNull($this->document()->editItem('l-planes-2'));
        $this->post('/keep/courses/clinker/draft/undo', ['version' => $this->version()]);
        $this->outline($this->version(), ['do' => 'duplicate', 'item' => 'l-planes'])->assertSessionHasNoErrors();
        self::assertNull($this->document()->editItem('l-planes-2'));
        self::assertNotNull($this->document()->editItem('l-planes-3'));
    }

    public function test_what_a_lesson_held_is_let_go_of_after_thirty_days(): void
    {
        $path = $this->fileIn('l-timber');
        $this->takeOut('l-timber');
        self::assertTrue($this->holds('l-timber'));
        $this->publish();

        $this->travelTo('2026-04-09T12:00:00Z');
        app(CleanUp::class)();
        self::assertTrue($this->holds('l-timber'));
        self::assertTrue(Storage::exists($path));

        $this->travelTo('2026-04-09T12:00:01Z');
        self::assertSame(1, app(CleanUp::class)()['items that were taken out, with what they held']);
        self::assertFalse($this->holds('l-timber'));
        self::assertFalse(Storage::exists($path));
        self::assertSame(0, app(CleanUp::class)()['items that were taken out, with what they held']);
        // Of others nothing is gone.
        self::assertTrue($this->holds('l-planes'));
    }

    public function test_taken_back_within_that_time_it_holds_what_it_held(): void
    {
        $this->takeOut('l-timber');
        $this->publish();
        $this->travelTo('2026-04-01T12:00:00Z');
        $this->post('/keep/courses/clinker/revisions/live', ['live' => 2, 'number' => 1, 'receipt' => $this->rehearsal('?back=1')['receipt']]);
        self::assertSame(3, Course::query()->where('key', 'clinker')->firstOrFail()->liveRevision?->number);

        $this->travelTo('2026-12-01T12:00:00Z');
        app(CleanUp::class)();
        self::assertTrue($this->holds('l-timber'));
        self::assertFalse(FormerItem::query()->where('item_key', 'l-timber')->exists());
    }

    public function test_what_a_draft_brings_back_is_kept(): void
    {
        $this->takeOut('l-timber');
        $this->publish();
        // As of one who began before it was taken out.
        Draft::query()->create(['course_id' => $this->course()->id, 'base_revision_id' => $this->course()->live_revision_id, 'document' => $this->course()->revisions()->where('number', 1)->value('document'), 'version' => 9]);
        $this->travelTo('2026-12-01T12:00:00Z');
        app(CleanUp::class)();
        self::assertTrue($this->holds('l-timber'));
    }

    public function test_what_never_went_live_is_kept_for_thirty_days_from_when_it_is_missed(): void
    {
        $key = $this->keyOf('Oars');
        $path = $this->fileIn($key);
        app(CleanUp::class)();
        self::assertFalse(FormerItem::query()->where('item_key', $key)->exists());
        $this->takeOut($key);
        app(CleanUp::class)();
        $this->travelTo('2026-04-09T12:00:00Z');
        app(CleanUp::class)();
        self::assertTrue(Storage::exists($path));
        $this->travelTo('2026-04-09T13:00:00Z');
        app(CleanUp::class)();
        self::assertFalse(Storage::exists($path));
    }

    /** A file of its own: those of the demo school are shared with other tests. */
    private function fileIn(string $item): string
    {
        $file = tempnam(sys_get_temp_dir(), 'former');
        file_put_contents((string) $file, 'words');

        return app(KeepMedium::class)($this->course(), $item, new \SplFileInfo((string) $file), 'words.txt', 'Words', null, $this->person('hege'))->path;
    }

    protected function tearDown(): void
    {
        foreach (Medium::query()->where('name', 'words.txt')->pluck('path') as $path) {
            Storage::delete(is_string($path) ? $path : []);
        }
        parent::tearDown();
    }
}
