<?php

declare(strict_types=1);

namespace Tests\Notices;

use App\Access\Plans;
use App\Models\Course;
use App\Models\NoticeText;
use App\Notices\NoticeCase;
use App\Notices\NoticePlace;
use App\Notices\SaveNotice;
use App\Pages\Notices\NoticeMetBuilder;
use App\Pages\Notices\NoticesGrid;
use App\Pages\Notices\NoticeSight;
use App\Pages\Notices\NoticesLensBuilder;
use App\Sightlines\Vantages\Look;
use App\Sightlines\Vantages\VantagePoint;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;
use Tests\Factories\PersonFactory;
use Tests\TestCase;

/** The lens tells of every door what whoever comes to it meets. */
final class NoticesLensTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->wordless();
        $this->actingAs($this->person('hege'));
    }

    private function say(NoticePlace $place, NoticeCase $case, string $text, string $way = 'show', ?string $address = null): void
    {
        self::assertTrue(app(SaveNotice::class)($place, $case, ['way' => $way, 'heading' => '', 'text' => $text, 'address' => $address], 0, $this->person('hege')));
    }

    private static function sight(NoticesGrid $grid, int $row, int $column): NoticeSight
    {
        return $grid->sights[$grid->cells[$row][$column]];
    }

    /** Over all courses of the demo, of the usual vantages and of people of every kind. */
    public function test_it_tells_what_the_page_itself_says(): void
    {
        $people = array_map(fn (string $name): VantagePoint => VantagePoint::person($this->person($name)->id), ['eira', 'ragna', 'gro', 'liv', 'per', 'jonas', 'sunniva']);
        $lens = app(NoticesLensBuilder::class);
        $met = app(NoticeMetBuilder::class);
        $compared = 0;
        foreach (Course::query()->with(['liveRevision', 'draft'])->whereNotNull('live_revision_id')->get() as $course) {
            $usual = array_map(static fn ($vantage): ?VantagePoint => VantagePoint::parse($vantage->id), $lens->grid($course, new Look)->vantages);
            $points = [...array_values(array_filter($usual)), ...$people];
            $grid = $lens->grid($course, new Look(points: $points));
            $decider = app(Plans::class)->live($course) ?? self::fail($course->key);
            foreach ($grid->vantages as $column => $vantage) {
                foreach ($decider->course->outline->items as $row => $item) {
                    $sight = self::sight($grid, $row, $column);
                    $page = $met->of($course, new Look(points: [$points[$column]]), $item->key, 'nobody');
                    self::assertSame($page?->case, $sight->case, "{$course->key} {$item->key} {$vantage->id}");
                    if ($page?->notice === null) {
                        continue;
                    }
                    $compared++;
                    self::assertSame($page->notice->glyph, $sight->glyph);
                    // Whom to ask, and something else that is open, are no step through this door.
                    if ($page->notice->offers !== [] || ($page->notice->signIn !== null && NoticeCase::from($page->case)->canSendToSignIn())) {
                        self::assertTrue($sight->hasStep, "{$course->key} {$item->key} {$vantage->id} leads on");
                    }
                    if (! $sight->hasStep) {
                        self::assertSame([], $page->notice->offers, "{$course->key} {$item->key} {$vantage->id} leads nowhere");
                    }
                }
            }
        }
        self::assertGreaterThan(300, $compared);
    }

    public function test_whose_words_stand_there_is_told_by_row(): void
    {
        $course = $this->course();
        $this->say(NoticePlace::school(), NoticeCase::NoPass, 'the school');
        $this->say(NoticePlace::at($course, 'm-tools'), NoticeCase::NoPass, 'the module');
        $this->say(NoticePlace::at($course, 'l-planes'), NoticeCase::NoPass, 'its own');
        $grid = app(NoticesLensBuilder::class)->grid($course, new Look(points: [VantagePoint::member()]));
        $levels = [];
        foreach (app(Plans::class)->live($course)->course->outline->items ?? [] as $row => $item) {
            $levels[$item->key] = self::sight($grid, $row, 0)->level;
        }
        self::assertSame(['school', 'own', 'own', 'module', 'module', 'school', null], [$levels['m-start'], $levels['m-tools'], $levels['l-planes'], $levels['p-iron'], $levels['l-timber'], $levels['l-garboard'], $levels['l-welcome']]);

        $card = $this->get('/keep/courses/clinker/notices/met?v[]=member&item=p-iron')->assertOk()->json();
        self::assertIsArray($card);
        // A part stands in its lesson, and with that in its module.
        self::assertSame([
            ['own', 'p-iron', null, false], ['module', 'l-planes', 'its own', true], ['module', 'm-tools', 'the module', false],
            ['course', null, null, false], ['school', null, 'the school', false], ['usual', null, null, false],
        ], array_map(static fn (mixed $level): array => is_array($level) ? [$level['level'], $level['item'], $level['words'], $level['holds']] : [], (array) $card['levels']));
    }

    public function test_a_door_without_a_next_step_is_one_until_something_is_said(): void
    {
        $course = $this->course();
        $hasStep = static function () use ($course): bool {
            $grid = app(NoticesLensBuilder::class)->grid($course, new Look(points: [VantagePoint::observer(VantagePoint::holder('apprentice-pass', 3))]));

            return self::sight($grid, (int) app(Plans::class)->live($course)?->course->outline->positionOf('l-launch'), 0)->hasStep;
        };
        self::assertFalse($hasStep());
        $this->say(NoticePlace::at($course), NoticeCase::NoObservers, 'Come to the launch.');
        self::assertTrue($hasStep());
        // A heading alone tells nobody what to do.
        NoticeText::query()->update(['parts' => '[{"kind":"heading","text":"Later"}]']);
        self::assertFalse($hasStep());
    }

    public function test_who_is_sent_elsewhere_is_told_where(): void
    {
        $this->say(NoticePlace::at($this->course(), 'l-planes'), NoticeCase::NoPass, '', 'address', '/checkout/apprentice-pass');
        $this->get('/keep/courses/clinker/notices/met?v[]=member&item=l-planes')->assertOk()->assertJson(['notice' => null, 'sentTo' => '/checkout/apprentice-pass']);
        $this->get('/keep/courses/clinker/notices/met?v[]=member&item=l-timber')->assertOk()->assertJson(['sentTo' => null]);
    }

    public function test_there_is_no_notice_at_what_is_open_hidden_or_not_there(): void
    {
        foreach (['v[]=member&item=l-welcome', 'v[]=member&item=l-bonus', 'v[]=member&item=nothing', 'item=l-planes', 'v[]=person:99999&item=l-planes'] as $query) {
            $this->get("/keep/courses/clinker/notices/met?{$query}")->assertNotFound();
        }
    }

    public function test_it_is_a_lens_of_the_workspace_that_can_be_linked_to(): void
    {
        $this->get('/keep/courses/clinker?lens=notices&v[]=member&v[]=holder:3:taster&at=2026-06-30T12:00')->assertOk()->assertInertia(fn (Page $page) => $page
            ->where('lens', 'notices')->where('sightlines', null)->has('notices.vantages', 2)->has('notices.cells', 18)->where('rules', []));
        $this->actingAs($this->person('aksel'))->get('/keep/courses/clinker?lens=notices')->assertOk()->assertInertia(fn (Page $page) => $page->where('mayEdit', false)->has('notices.vantages', 9));
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('notices', null));
    }

    /** The notices of today at doors that were other ones then: it was told what nobody had met. */
    public function test_it_looks_ahead_only(): void
    {
        $now = $this->get('/keep/courses/clinker?lens=notices&v[]=holder:3:taster')->inertiaProps('notices');
        self::assertEquals($now, $this->get('/keep/courses/clinker?lens=notices&v[]=holder:3:taster&at=2025-06-30T12:00')->inertiaProps('notices'));
        self::assertSame($this->get('/keep/courses/clinker/notices/met?v[]=member&item=l-planes')->json(), $this->get('/keep/courses/clinker/notices/met?v[]=member&item=l-planes&at=2025-06-30T12:00')->json());
    }

    public function test_it_asks_as_often_of_one_vantage_more_and_of_many_words(): void
    {
        $queries = function (int $people): int {
            $points = array_map(static fn (): VantagePoint => VantagePoint::person(PersonFactory::new()->createOne()->id), range(1, $people));
            $count = 0;
            DB::flushQueryLog();
            DB::enableQueryLog();
            app(NoticesLensBuilder::class)->grid($this->course()->load(['liveRevision', 'draft']), new Look(points: $points));
            $count = count(DB::getQueryLog());
            DB::disableQueryLog();

            return $count;
        };
        $queries(1);
        [$few, $one] = [$queries(2), $queries(3)];
        $perVantage = $one - $few;
        foreach (['l-planes', 'l-timber', 'l-garboard', 'l-rivets', 'm-tools'] as $item) {
            $this->say(NoticePlace::at($this->course(), $item), NoticeCase::NoPass, $item);
        }
        self::assertSame($few, $queries(2), 'As often with words at many rows.');
        self::assertLessThanOrEqual(6, $perVantage);
        self::assertSame($few + 6 * $perVantage, $queries(8), 'A fixed number for each who looks, however many rows there are.');
    }
}
