<?php

declare(strict_types=1);

namespace Tests\Notices;

use App\Models\NoticeMeeting;
use App\Models\NoticeWeek;
use App\Notices\Met\DoorCount;
use App\Notices\Met\Meetings;
use Illuminate\Support\Carbon;
use Tests\TestCase;

/** Closed doors are counted, of nobody in particular. */
final class DoorsMetTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    /** As another browser comes, in which nothing is known yet. */
    private function anotherBrowser(?string $who = null): void
    {
        $this->flushSession();
        $this->inAnotherProcess();
        $who === null ? $this->app['auth']->forgetGuards() : $this->actingAs($this->person($who));
    }

    private function counted(string $item, string $case): DoorCount
    {
        return app(Meetings::class)->at($this->course(), $item, $case);
    }

    public function test_a_door_is_met_once_a_day_by_whoever_comes_again_and_again(): void
    {
        foreach (range(1, 3) as $_) {
            $this->get('/courses/clinker/l-planes')->assertUnauthorized();
        }
        self::assertSame(1, $this->counted('l-planes', 'unknown')->met);
        $this->anotherBrowser();
        $this->get('/courses/clinker/l-planes');
        $this->get('/courses/clinker/l-timber');
        self::assertSame([2, ['visitor' => 2], 2, 1], [$this->counted('l-planes', 'unknown')->met, $this->counted('l-planes', 'unknown')->who, $this->counted('l-planes', 'unknown')->left, $this->counted('l-timber', 'unknown')->met]);
        $this->travel(1)->days();
        $this->get('/courses/clinker/l-planes');
        self::assertSame(3, $this->counted('l-planes', 'unknown')->met);
        self::assertSame(0, $this->counted('l-planes', 'no-pass')->met);
    }

    public function test_who_it_was_is_a_kind_and_no_name(): void
    {
        foreach (['jonas' => ['l-planes', 'no-pass', 'member'], 'ragna' => ['l-advanced', 'other-tier', 'holder'], 'gro' => ['l-planes', 'ended', 'member']] as $name => [$item, $case, $who]) {
            $this->anotherBrowser($name);
            $this->get("/courses/clinker/{$item}")->assertForbidden();
            self::assertSame([$who => 1], $this->counted($item, $case)->who, $name);
        }
        self::assertSame(['id', 'token', 'course_id', 'item_key', 'case', 'who', 'then', 'met_at'], array_keys(NoticeMeeting::query()->firstOrFail()->getAttributes()));
    }

    public function test_what_is_done_next_is_told_the_more_the_better(): void
    {
        // Goes on to what is open.
        $this->get('/courses/clinker/l-planes');
        $this->get('/courses/clinker/l-welcome')->assertOk();
        $count = $this->counted('l-planes', 'unknown');
        self::assertSame([1, 0, 0, 1, 0], [$count->met, $count->taken, $count->signedIn, $count->wentOn, $count->left]);
        // Signs in, and finds it open.
        $this->anotherBrowser();
        $this->get('/courses/clinker/l-planes');
        $this->post('/sign-in', ['email' => 'eira@alder.test', 'password' => 'larch-and-oak'])->assertRedirect();
        $this->get('/courses/clinker/l-planes')->assertOk();
        $count = $this->counted('l-planes', 'unknown');
        self::assertSame([2, 0, 1, 1], [$count->met, $count->taken, $count->signedIn, $count->wentOn]);
        // Takes an offer.
        $this->anotherBrowser('jonas');
        $this->get('/courses/clinker/l-planes')->assertForbidden();
        $this->post('/checkout/yard-trial')->assertSessionHas('flash.kind', 'done');
        $this->get('/courses/clinker/l-planes')->assertOk();
        $count = $this->counted('l-planes', 'no-pass');
        self::assertSame([1, 1, 0, 0, 0], [$count->met, $count->taken, $count->signedIn, $count->wentOn, $count->left]);
    }

    public function test_what_is_done_hours_later_has_nothing_to_do_with_it(): void
    {
        $this->get('/courses/clinker/l-planes');
        $this->travel(31)->minutes();
        $this->get('/courses/clinker/l-welcome')->assertOk();
        self::assertSame([1, 0, 1], [$this->counted('l-planes', 'unknown')->met, $this->counted('l-planes', 'unknown')->wentOn, $this->counted('l-planes', 'unknown')->left]);
    }

    public function test_staff_and_whoever_stands_in_are_not_counted(): void
    {
        $this->actingAs($this->person('hege'));
        $this->get('/courses/clinker/l-planes')->assertOk();
        $this->get('/keep/courses/clinker/stand-in/view/l-planes?v[]=visitor')->assertOk();
        $this->get('/keep/courses/clinker/notices/met?v[]=visitor&item=l-planes')->assertOk()->assertJson(['count' => ['met' => 0]]);
        self::assertSame(0, NoticeMeeting::query()->count());
    }

    public function test_old_ones_are_counted_by_the_week_and_then_forgotten(): void
    {
        $course = $this->course();
        $meet = static function (string $at, ?string $then) use ($course): void {
            NoticeMeeting::query()->create(['token' => bin2hex(random_bytes(16)), 'course_id' => $course->id, 'item_key' => 'l-planes', 'case' => 'unknown', 'who' => 'visitor', 'then' => $then, 'met_at' => $at]);
        };
        // Tue 10 March is today: Mon 26 January begins the sixth week before this one.
        foreach (['2026-01-26 00:00:00', '2026-01-30 12:00:00', '2026-02-01 23:59:59'] as $at) {
            $meet($at, 'taken');
        }
        $meet('2026-02-02 00:00:00', null);
        $meet('2026-03-09 10:00:00', 'signed-in');
        $weeks = $this->counted('l-planes', 'unknown')->weeks;
        self::assertSame([0, 0, 0, 0, 0, 3, 1, 0, 0, 0, 0, 1], $weeks);
        self::assertSame(3, app(Meetings::class)->fold());
        self::assertSame(0, app(Meetings::class)->fold(), 'Twice does no harm.');
        self::assertSame($weeks, $this->counted('l-planes', 'unknown')->weeks, 'The chart is the same.');
        self::assertSame([2, 3, 3, 0, 0], [NoticeMeeting::query()->count(), ...array_values(NoticeWeek::query()->firstOrFail()->only('met', 'taken', 'signed_in', 'went_on'))]);
        Carbon::setTestNow('2027-04-10T12:00:00Z');
        app(Meetings::class)->fold();
        self::assertSame([0, 1, '2026-03-09'], [NoticeMeeting::query()->count(), NoticeWeek::query()->count(), substr(NoticeWeek::query()->firstOrFail()->week, 0, 10)], 'Thirteen months, and no longer.');
    }
}
