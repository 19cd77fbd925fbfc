<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Learning\Contents\LessonContents;
use App\Learning\MarkFinished;
use App\Models\Activity;
use App\Models\Completion;
use App\Models\Content;
use App\Models\ItemVisit;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\State;
use Tests\Factories\CompletionFactory;
use Tests\TestCase;

/** Where one is in a course: what lies before, inside and after. */
final class LessonPagesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    #[DataProvider('places')]
    public function test_a_lesson_knows_its_neighbours(string $who, string $item, ?string $before, ?string $after, ?string $next): void
    {
        $this->actingAs($this->person($who))->get("/courses/clinker/{$item}")->assertOk()->assertInertia(fn (Page $page) => $page
            ->where('before', fn ($row): bool => ($row['key'] ?? null) === $before)
            ->where('after', fn ($row): bool => ($row['key'] ?? null) === $after)
            ->where('next', fn ($row): bool => ($row['key'] ?? null) === $next));
    }

    /** @return array<string, array{string, string, ?string, ?string, ?string}> */
    public static function places(): array
    {
        return [
            'the first' => ['eira', 'l-welcome', null, 'l-planes', 'l-planes'],
            'with a part' => ['eira', 'l-planes', 'l-welcome', 'p-iron', 'l-planes'],
            'a part' => ['eira', 'p-iron', 'l-planes', 'l-timber', 'l-planes'],
            // The tour for guests is not there for a learner, and the oak of the other tier is closed.
            'past what is closed' => ['ragna', 'l-steam', 'l-timber', 'l-garboard', 'l-steam'],
            'past what is hidden' => ['halvard', 'l-bonus', 'l-rivets', null, 'l-rivets'],
        ];
    }

    public function test_a_lesson_lists_its_parts_and_a_module_its_lessons(): void
    {
        $this->actingAs($this->person('eira'))->get('/courses/clinker/l-planes')->assertInertia(fn (Page $page) => $page->has('parts', 1)->where('parts.0.key', 'p-iron'));
        $this->get('/courses/clinker/m-start')->assertOk()->assertInertia(fn (Page $page) => $page->has('parts', 1)->where('parts.0.key', 'l-welcome')->where('finish', 'none'));
        $this->get('/courses/clinker/m-planks')->assertForbidden();
    }

    public function test_a_lesson_that_is_finished_by_a_visit_is_finished_by_coming(): void
    {
        $this->actingAs($this->person('hege'))->post('/keep/courses/clinker/draft/edits', ['version' => 0, 'set' => 'finish', 'items' => ['l-planes'], 'by' => 'visit']);
        $this->get('/keep/courses/clinker/rehearsal');
        $this->post('/keep/courses/clinker/revisions', ['version' => 1])->assertSessionHas('flash.kind', 'done');
        $this->app->forgetScopedInstances();

        $this->actingAs($this->person('eira'))->get('/courses/clinker/l-planes')->assertOk()->assertInertia(fn (Page $page) => $page->where('item.finished', true)->where('after.key', 'p-iron'));
        $this->get('/courses/clinker/l-timber')->assertOk();
    }

    public function test_staff_look_at_everything_and_finish_nothing(): void
    {
        $before = Completion::query()->count();
        $this->actingAs($this->person('hege'))->get('/courses/clinker/l-timber')->assertOk()->assertInertia(fn (Page $page) => $page->where('finish', 'none')->where('quiz.can', false));
        $this->get('/courses/clinker/l-steam')->assertOk()->assertInertia(fn (Page $page) => $page->where('watch', null)->where('media.0.kind', 'video'));
        $this->post('/courses/clinker/l-planes/finished')->assertForbidden();
        self::assertSame($before, Completion::query()->count());
    }

    public function test_who_stands_in_for_a_learner_sees_their_tries_and_makes_none(): void
    {
        $this->actingAs($this->person('eira'))->post('/courses/clinker/l-planes/finished');
        $this->post('/courses/clinker/l-timber/quiz', ['version' => 1, 'answers' => [[1], [1], [0]]]);
        $looks = ItemVisit::query()->count();
        $this->actingAs($this->person('hege'))->get("/keep/courses/clinker/stand-in/view/l-timber?v[]=person:{$this->person('eira')->id}")->assertOk()->assertInertia(fn (Page $page) => $page
            ->component('learner/Lesson')->where('quiz.last', 33)->where('quiz.can', false)->where('standIn.name', 'Eira Holm'));
        $this->get("/keep/courses/clinker/stand-in/view/b-marks?v[]=person:{$this->person('eira')->id}")->assertOk()->assertInertia(fn (Page $page) => $page
            ->component('learner/Board')->where('marks.2.score', 33)->where('canPost', false)->where('calendar', null));
        self::assertSame($looks, ItemVisit::query()->count());
    }

    public function test_a_look_within_the_minute_is_the_same_look(): void
    {
        $this->actingAs($this->person('eira'))->get('/courses/clinker/l-planes');
        $first = ItemVisit::query()->where('item_key', 'l-planes')->firstOrFail()->last_at;
        Carbon::setTestNow(Carbon::now()->addSeconds(30));
        $this->get('/courses/clinker/l-planes');
        self::assertEquals($first, ItemVisit::query()->where('item_key', 'l-planes')->firstOrFail()->last_at);
        Carbon::setTestNow(Carbon::now()->addSeconds(31));
        $this->get('/courses/clinker/l-planes');
        self::assertNotEquals($first, ItemVisit::query()->where('item_key', 'l-planes')->firstOrFail()->last_at);
        self::assertSame(1, ItemVisit::query()->where('item_key', 'l-planes')->count());
    }

    public function test_a_page_knows_when_it_turns(): void
    {
        // Sunniva's tools open on the fifth day, at nine.
        $this->actingAs($this->person('sunniva'))->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('course.turnsIn', Carbon::parse('2026-03-15T08:00:00Z')->getTimestamp() - Carbon::now()->getTimestamp()));
        $this->actingAs($this->person('runa'))->get('/courses/petrol')->assertOk()->assertInertia(fn (Page $page) => $page->where('course.turnsIn', null));
    }

    public function test_an_empty_lesson_says_so_and_holds_nothing(): void
    {
        Content::query()->where('item_key', 'l-planes')->delete();
        $this->actingAs($this->person('eira'))->get('/courses/clinker/l-planes')->assertOk()->assertInertia(fn (Page $page) => $page->where('html', '')->where('media', [])->where('quiz', null)->where('watch', null));
    }

    public function test_what_a_closed_item_holds_cannot_be_asked_for(): void
    {
        foreach ([State::Locked, State::Hidden] as $state) {
            try {
                app(LessonContents::class)->of($this->course(), new Decision('l-welcome', $state, null, false, [], null));
                self::fail('It was given.');
            } catch (\LogicException $e) {
                self::assertSame('What a closed item holds was asked for.', $e->getMessage());
            }
        }
        self::assertNotNull(app(LessonContents::class)->of($this->course(), new Decision('l-welcome', State::Open, null, true, [], null))->content);
    }

    public function test_of_two_who_finish_it_at_once_one_is_noted(): void
    {
        $eira = $this->person('eira');
        $key = ['person_id' => $eira->id, 'course_id' => $this->course()->id, 'item_key' => 'l-planes'];
        $other = false;
        DB::listen(static function (QueryExecuted $query) use ($key, &$other): void {
            // The other click comes right after this one has seen that nothing is finished yet.
            if (! $other && str_starts_with($query->sql, 'select exists(select * from "completions"')) {
                $other = true;
                CompletionFactory::new()->createOne([...$key, 'completed_at' => '2026-03-10 11:59:00']);
            }
        });
        app(MarkFinished::class)($eira, $this->course(), 'l-planes');
        self::assertTrue($other);
        self::assertSame('2026-03-10 11:59:00', Completion::query()->where($key)->sole()->getRawOriginal('completed_at'));
        self::assertSame(0, Activity::query()->where('action', 'item.finished')->where('person_id', $eira->id)->where('after', 'like', '%l-planes%')->count());
    }
}
