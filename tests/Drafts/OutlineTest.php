<?php

declare(strict_types=1);

namespace Tests\Drafts;

use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\WritableItem;
use App\Models\Draft;
use App\Models\DraftEdit;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

final class OutlineTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_a_list_of_titles_becomes_rows(): void
    {
        $this->outline(['do' => 'add', 'item' => 'm-planks', 'inside' => true, 'kind' => 'lesson', 'titles' => "Beveling\n\n  Øks og høvel \nBeveling"]);

        self::assertSame(['l-garboard', 'l-rivets', 'beveling', 'oks-og-hovel', 'beveling-2'], $this->inside('m-planks'));
        self::assertSame('Øks og høvel', $this->document()->editItem('oks-og-hovel')?->title());
    }

    public function test_rows_are_added_after_a_row_and_at_the_end(): void
    {
        $this->outline(['do' => 'add', 'item' => 'l-garboard', 'kind' => 'lesson', 'titles' => 'Between']);
        $this->outline(['do' => 'add', 'kind' => 'module', 'titles' => 'Last', 'version' => 1]);

        self::assertSame(['l-garboard', 'between', 'l-rivets'], $this->inside('m-planks'));
        self::assertSame('last', $this->inside(null)[6]);
    }

    public function test_an_outline_is_added_with_its_levels_in_one_edit(): void
    {
        $rows = [[0, 'module', 'Sails'], [1, 'lesson', 'Cutting'], [2, 'part', 'Twine'], [1, 'lesson', 'Sewing'], [0, 'module', 'Rope'], [1, 'board', 'Talk of rope']];
        $named = static fn (array $rows): array => array_map(static fn (array $row): array => array_combine(['depth', 'kind', 'title'], $row), $rows);
        $this->outline(['do' => 'rows', 'item' => 'm-tools', 'rows' => $named($rows)])->assertSessionHasNoErrors();
        $titles = array_map(static fn ($place): string => str_repeat('>', $place->depth()).$place->item->title(), iterator_to_array($this->document()->read()->places(), preserve_keys: false));
        $at = (int) array_search('Sails', $titles, true);
        self::assertSame(['Sails', '>Cutting', '>>Twine', '>Sewing', 'Rope', '>Talk of rope', 'Hanging planks'], array_slice($titles, $at, 7));
        self::assertSame(1, DraftEdit::query()->count());

        // Before what is inside already, as a row is typed right below its module.
        $this->outline(['do' => 'add', 'item' => 'm-tools', 'inside' => true, 'first' => true, 'kind' => 'lesson', 'titles' => 'First of all', 'version' => 1]);
        self::assertSame('First of all', $this->document()->editItem('m-tools')?->inside()[0]->title());

        // What stands in nothing, has no title, or no place there, is refused as a whole.
        foreach ([[[1, 'lesson', 'X']], [[0, 'module', 'X'], [2, 'part', 'Y']], [[0, 'module', '']], [[0, 'chapter', 'X']], [[0, 'lesson', 'X'], [1, 'module', 'Y']], [[0, 'part', 'X']], []] as $wrong) {
            $this->outline(['do' => 'rows', 'item' => 'm-tools', 'rows' => $named($wrong), 'version' => 2])->assertSessionHasErrors();
        }
        self::assertSame(2, DraftEdit::query()->count());
    }

    public function test_what_may_not_stand_there_is_refused_and_nothing_is_changed(): void
    {
        $this->outline(['do' => 'add', 'item' => 'l-garboard', 'inside' => true, 'kind' => 'lesson', 'titles' => 'X'])->assertSessionHasErrors();
        $this->outline(['do' => 'add', 'item' => 'm-planks', 'kind' => 'lesson', 'titles' => " \n "])->assertSessionHasErrors('titles');
        $this->outline(['do' => 'rename', 'item' => 'm-planks', 'title' => ''])->assertSessionHasErrors('title');

        self::assertSame(0, Draft::query()->count());
    }

    /** @param  list<string>  $expected */
    #[DataProvider('moves')]
    public function test_a_row_moves_with_all_inside_it(string $item, string $step, ?string $container, array $expected): void
    {
        $this->outline(['do' => 'move', 'item' => $item, 'step' => $step]);

        self::assertSame($expected, $this->inside($container));
    }

    /** @return \Generator<string, array{string, string, ?string, list<string>}> */
    public static function moves(): \Generator
    {
        yield 'up' => ['m-tools', 'up', null, ['b-news', 'b-marks', 'm-tools', 'm-start', 'm-planks', 'm-finish']];
        yield 'down' => ['l-garboard', 'down', 'm-planks', ['l-rivets', 'l-garboard']];
        yield 'into the one before' => ['m-tools', 'in', 'm-start', ['l-welcome', 'l-open-day', 'm-tools']];
        yield 'out' => ['l-garboard', 'out', null, ['b-news', 'b-marks', 'm-start', 'm-tools', 'm-planks', 'l-garboard', 'm-finish']];
    }

    public function test_a_move_that_leads_nowhere_says_so(): void
    {
        foreach ([['b-news', 'up', 'first'], ['m-finish', 'down', 'last'], ['m-finish', 'out', 'top'], ['b-news', 'in', 'nothing before']] as [$item, $step, $word]) {
            $this->outline(['do' => 'move', 'item' => $item, 'step' => $step]);
            self::assertStringContainsString($word, session('flash')['text']);
        }
    }

    public function test_a_module_is_not_moved_into_what_waits_for_it_or_it_waits_for(): void
    {
        // Hanging planks waits for Tools and timber, and cannot wait for what it is inside of.
        $this->outline(['do' => 'move', 'item' => 'm-planks', 'step' => 'in']);
        self::assertStringContainsString('cannot wait for one that it is inside of', session('flash')['text']);
        self::assertSame(0, Draft::query()->count());
    }

    public function test_a_copy_has_rules_of_its_own(): void
    {
        $this->outline(['do' => 'duplicate', 'item' => 'm-tools']);
        $document = $this->document();

        self::assertSame('Tools and timber (copy)', $document->editItem('m-tools-2')?->title());
        self::assertSame(['l-planes-2', 'l-timber-2', 'l-advanced-2', 'l-steam-2'], $this->inside('m-tools-2'));
        self::assertEquals($document->raw()->plans->weekly->{'m-tools'}, $document->raw()->plans->weekly->{'m-tools-2'});
        self::assertSame(0.7, $document->editItem('l-timber-2')?->read()->finish()?->needed());
    }

    public function test_what_depends_on_a_row_is_named_before_it_is_taken_out(): void
    {
        $this->outline(['do' => 'delete', 'items' => ['m-tools']]);
        $flash = session('flash');
        self::assertSame('asks', $flash['kind']);
        self::assertSame(['Hanging planks waits for Tools and timber', 'The offer Tools only covers Tools and timber'], array_map(strval(...), $flash['lines']));
        self::assertSame(0, Draft::query()->count());

        $this->outline(['do' => 'delete', 'items' => ['m-tools'], 'meant' => true])->assertSessionHasNoErrors();
        $document = $this->document();
        self::assertNull($document->editItem('l-steam'));
        self::assertObjectNotHasProperty('after', (object) $document->editItem('m-planks')?->read()->raw());
        self::assertObjectNotHasProperty('m-tools', $document->raw()->plans->weekly);
        self::assertSame([], $document->readOffers()[3]->scope());
    }

    public function test_no_more_is_asked_for_than_is_left(): void
    {
        $this->post('/keep/courses/clinker/draft/edits', ['version' => 0, 'set' => 'after', 'items' => ['l-rivets'], 'mode' => 'at_least', 'count' => 2, 'of' => ['l-garboard', 'l-steam'], 'inOrder' => false])->assertSessionHasNoErrors();
        $this->outline(['version' => 1, 'do' => 'delete', 'items' => ['l-steam'], 'meant' => true]);

        $after = $this->document()->editItem('l-rivets')?->read()->after();
        self::assertSame([1, ['l-garboard']], [$after?->atLeast(), $after?->items()]);
    }

    public function test_what_waits_in_a_copy_waits_for_the_copy(): void
    {
        $this->post('/keep/courses/clinker/draft/edits', ['version' => 0, 'set' => 'after', 'items' => ['l-steam'], 'mode' => 'all', 'of' => ['l-timber', 'l-welcome'], 'inOrder' => false])->assertSessionHasNoErrors();
        $this->outline(['version' => 1, 'do' => 'duplicate', 'item' => 'm-tools']);

        self::assertSame(['l-timber-2', 'l-welcome'], $this->document()->editItem('l-steam-2')?->read()->after()?->items());
        self::assertSame(['l-timber', 'l-welcome'], $this->document()->editItem('l-steam')?->read()->after()?->items());
    }

    public function test_what_nothing_depends_on_is_taken_out_at_once_and_brought_back_by_undo(): void
    {
        $this->outline(['do' => 'delete', 'items' => ['l-rivets', 'l-next']]);
        self::assertSame(['l-garboard'], $this->inside('m-planks'));
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 1]);
        self::assertSame(['l-garboard', 'l-rivets'], $this->inside('m-planks'));
    }

    public function test_a_condition_is_never_widened_by_taking_out_what_it_asks_for(): void
    {
        $document = CourseDocument::fromJson((string) $this->course()->liveRevision?->document);
        $document->editItem('l-bonus')?->set('only', (object) ['all' => [(object) ['label' => 'oar-bonus'], (object) ['done' => 'l-rivets']]]);
        $this->course()->draft()->create(['base_revision_id' => $this->course()->live_revision_id, 'document' => $document->toJson(), 'version' => 1]);
        $this->outline(['do' => 'delete', 'items' => ['l-rivets'], 'meant' => true, 'version' => 1]);

        self::assertStringContainsString('only for those who finished Rivets and roves', session('flash')['text']);
        self::assertNotNull($this->document()->editItem('l-rivets'));
    }

    public function test_the_form_of_the_course_changes_what_it_says_and_nothing_else(): void
    {
        $this->settings(['title' => 'Clinker planking, again', 'guestsOpen' => false]);

        $this->get('/keep/courses/clinker')->assertInertia(fn ($page) => $page->has('changes', 2));
        self::assertFalse($this->document()->raw()->guest_door->open);
        self::assertFalse($this->document()->raw()->guest_door->default);
    }

    public function test_a_season_ends_after_it_begins(): void
    {
        $this->settings(['opens' => '2026-05-01T09:00', 'closes' => '2026-05-01T09:00'])->assertSessionHasErrors('closes');
        $this->settings(['opens' => '2026-02-30T09:00'])->assertSessionHasErrors('opens');
        $this->settings(['title' => ' '])->assertSessionHasErrors('title');
    }

    public function test_a_tier_in_use_cannot_be_taken_away(): void
    {
        $this->settings(['tiers' => 'apprentice'])->assertSessionHasErrors();
        self::assertSame(0, Draft::query()->count());
    }

    public function test_a_new_course_is_seen_by_nobody_before_it_is_published(): void
    {
        $this->post('/keep/courses', ['title' => 'Caulking for beginners'])->assertRedirect('/keep/courses/caulking-for-beginners');
        $this->post('/keep/courses', ['title' => 'Caulking for beginners'])->assertRedirect('/keep/courses/caulking-for-beginners-2');
        $this->get('/keep/courses/caulking-for-beginners')->assertOk();
        $this->get('/keep/courses/caulking-for-beginners?lens=sightlines')->assertOk();
        $this->get('/courses/caulking-for-beginners')->assertNotFound();
        $this->post('/keep/courses/caulking-for-beginners/draft/outline', ['version' => 1, 'do' => 'add', 'kind' => 'lesson', 'titles' => 'Oakum']);
        $this->get('/keep/courses/caulking-for-beginners/rehearsal')->assertOk();
        $this->post('/keep/courses/caulking-for-beginners/revisions', ['version' => 2]);

        self::assertSame(1, Course::query()->where('key', 'caulking-for-beginners')->firstOrFail()->liveRevision?->number);
        $this->get('/keep/courses')->assertOk();
    }

    public function test_a_course_like_another_has_its_outline_and_none_of_its_offers(): void
    {
        $this->post('/keep/courses', ['title' => 'Clinker, second year', 'like' => 'clinker']);
        $document = CourseDocument::fromJson((string) Draft::query()->firstOrFail()->document);

        self::assertSame('clinker-second-year', $document->read()->key());
        self::assertNotNull($document->editItem('l-garboard'));
        self::assertSame([], $document->readOffers());
        $this->post('/keep/courses', ['title' => ''])->assertSessionHasErrors('title');
        $this->post('/keep/courses', ['title' => 'X', 'like' => 'nothing'])->assertSessionHasErrors('like');
    }

    public function test_assistants_and_learners_change_no_outline(): void
    {
        foreach (['aksel' => 403, 'eira' => 404] as $name => $status) {
            $this->actingAs($this->person($name));
            $this->outline(['do' => 'duplicate', 'item' => 'm-tools'])->assertStatus($status);
            $this->settings([])->assertStatus($status);
            $this->post('/keep/courses', ['title' => 'X'])->assertStatus($status);
        }
    }

    private function document(): CourseDocument
    {
        return CourseDocument::fromJson((string) Draft::query()->latest('id')->firstOrFail()->document);
    }

    /** @return list<string> keys directly inside an item, or the course */
    private function inside(?string $key): array
    {
        $container = $key === null ? $this->document()->edit()->outline() : $this->document()->editItem($key);

        return array_map(static fn (WritableItem $item): string => $item->key(), $container?->inside() ?? []);
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return TestResponse<Response>
     */
    private function outline(array $fields): TestResponse
    {
        return $this->post('/keep/courses/clinker/draft/outline', ['version' => 0, ...$fields]);
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return TestResponse<Response>
     */
    private function settings(array $fields): TestResponse
    {
        return $this->post('/keep/courses/clinker/draft/course', [
            'version' => 0, 'title' => 'Clinker planking', 'state' => 'live', 'entry' => 'offer', 'opens' => '', 'closes' => '',
            'keepAfterRetiring' => true, 'sampleNeedsAccount' => false, 'inOrder' => false, 'guestsOpen' => true, 'guestsDefault' => false,
            'observersOpen' => true, 'observersDefault' => true, 'observersFollow' => true, 'tiers' => 'apprentice, journeyman', ...$fields,
        ]);
    }
}
