<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\Completion;
use App\Models\WatchRecord;
use App\Models\WatchReport;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Factories\ObserverTieFactory;
use Tests\TestCase;

/** The steam box is finished by watching nine tenths of a clip of 16 seconds. */
final class WatchingTest extends TestCase
{
    private const LESSON = '/courses/clinker/l-steam';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('ragna'));
    }

    /** @return array<string, mixed> */
    private static function statement(string $segments, ?string $id = null, string $verb = 'https://w3id.org/xapi/video/verbs/paused'): array
    {
        return [
            'id' => $id ?? (string) Str::uuid(),
            'actor' => ['account' => ['homePage' => 'https://alder.test', 'name' => 'somebody else altogether']],
            'verb' => ['id' => $verb],
            'object' => ['id' => 'https://alder.test/courses/clinker/l-steam'],
            'result' => ['extensions' => ['https://w3id.org/xapi/video/extensions/played-segments' => $segments]],
        ];
    }

    /** @return TestResponse<Response> */
    private function report(string ...$segments): TestResponse
    {
        return $this->postJson(self::LESSON.'/statements', array_map(self::statement(...), array_values($segments)));
    }

    private function later(int $seconds): void
    {
        Carbon::setTestNow(Carbon::now()->addSeconds($seconds));
    }

    private function isFinished(): bool
    {
        return Completion::query()->where('person_id', $this->person('ragna')->id)->where('item_key', 'l-steam')->exists();
    }

    public function test_one_goes_on_where_one_was_on_any_device(): void
    {
        $position = fn (): mixed => $this->get(self::LESSON)->inertiaProps('watch.position');
        self::assertSame(0, $position());
        $at = static fn (mixed $seconds, string $played = '0[.]8'): array => array_replace_recursive(self::statement($played), ['result' => ['extensions' => ['https://w3id.org/xapi/video/extensions/time' => $seconds]]]);
        $this->later(8);
        $this->postJson(self::LESSON.'/statements', $at(6.5))->assertOk();
        self::assertSame(6.5, $position());
        // Not ahead of what was watched, whatever a report says; nonsense moves nothing.
        foreach ([400.0, -1, 'far', null, [1]] as $seconds) {
            $this->postJson(self::LESSON.'/statements', $at($seconds))->assertOk();
            self::assertSame($seconds === 400.0 ? 8 : $position(), $position());
        }
    }

    public function test_watching_enough_finishes_the_lesson_and_opens_what_waited_for_it(): void
    {
        $this->get('/courses/clinker/l-garboard')->assertForbidden();
        $this->get(self::LESSON)->assertOk()->assertInertia(fn (Page $page) => $page
            ->where('finish', 'watch')->where('watch.share', 0)->where('watch.needed', 0.9)->where('media.0.kind', 'video'));
        $this->later(8);
        $this->report('0[.]8')->assertOk()->assertJson(['finished' => false, 'played' => [[0, 8]]]);
        $this->later(7);
        $this->report('0[.]14.5')->assertOk()->assertJson(['finished' => true]);

        self::assertTrue($this->isFinished());
        $this->get('/courses/clinker/l-garboard')->assertOk();
    }

    public function test_where_watching_finishes_a_mark_does_not(): void
    {
        $this->get(self::LESSON);
        $this->post(self::LESSON.'/finished')->assertRedirect();
        self::assertFalse($this->isFinished());
    }

    public function test_a_report_of_more_than_time_allows_does_not_unlock(): void
    {
        $this->get(self::LESSON);
        $this->report('0[.]16')->assertOk()->assertJson(['finished' => false, 'played' => [[0, 3]]]);
        $this->later(2);
        $this->report('0[.]16')->assertJson(['finished' => false, 'played' => [[0, 7]]]);
        self::assertFalse($this->isFinished());
    }

    public function test_a_burst_of_reports_does_not_add_up_its_margins(): void
    {
        $this->get(self::LESSON);
        $this->report('0[.]3', '0[.]6', '0[.]9', '0[.]12', '0[.]15')->assertJson(['finished' => false, 'played' => [[0, 3]]]);
        self::assertFalse($this->isFinished());
    }

    public function test_a_burst_of_requests_a_day_later_does_not_unlock(): void
    {
        $this->get(self::LESSON);
        $this->later(86_400);
        $this->get(self::LESSON);
        foreach (range(1, 20) as $_) {
            $this->report('0[.]16')->assertJson(['finished' => false, 'played' => [[0, 3]]]);
        }
        self::assertFalse($this->isFinished());
    }

    public function test_skipping_to_the_end_counts_what_was_played_alone(): void
    {
        $this->get(self::LESSON);
        $this->later(60);
        $this->report('14[.]16.003')->assertJson(['finished' => false]);
        $this->report('0[.]2')->assertJson(['finished' => false]);
        self::assertFalse($this->isFinished());
    }

    public function test_the_same_statement_counts_once_and_order_does_not_matter(): void
    {
        $this->get(self::LESSON);
        $this->later(30);
        $late = self::statement('0[.]12');
        $early = self::statement('0[.]6');
        $this->postJson(self::LESSON.'/statements', [$late, $early])->assertJson(['played' => [[0, 12]]]);
        $this->postJson(self::LESSON.'/statements', $late)->assertOk()->assertJson(['played' => [[0, 12]], 'stored' => [$late['id']]]);
        $this->postJson(self::LESSON.'/statements', [$early, $late, $late]);

        self::assertSame(2, WatchReport::query()->count());
    }

    public function test_a_statement_that_stands_twice_in_one_batch_counts_once(): void
    {
        $this->get(self::LESSON);
        $this->later(30);
        $one = self::statement('0[.]6');
        $this->postJson(self::LESSON.'/statements', [$one, $one, $one])->assertOk()->assertJson(['played' => [[0, 6]]]);
        self::assertSame(1, WatchReport::query()->count());
    }

    public function test_two_tabs_count_what_was_watched_once(): void
    {
        $this->get(self::LESSON);
        $this->get(self::LESSON);
        $this->later(8);
        $this->report('0[.]8');
        $this->report('0[.]8')->assertJson(['finished' => false, 'played' => [[0, 8]]]);
        self::assertSame(1, WatchRecord::query()->count());
    }

    public function test_a_reload_goes_on_where_it_was(): void
    {
        $this->get(self::LESSON);
        $this->later(8);
        $this->report('0[.]8');
        $this->later(120);
        $this->get(self::LESSON)->assertInertia(fn (Page $page) => $page->where('watch.played', [[0, 8]]));
        $this->later(7);
        $this->report('8[.]14.6')->assertJson(['finished' => true]);
    }

    public function test_time_away_was_not_spent_watching(): void
    {
        $this->get(self::LESSON);
        $this->later(7200);
        $this->get(self::LESSON);
        $this->report('0[.]16')->assertJson(['finished' => false, 'played' => [[0, 3]]]);
    }

    public function test_reports_kept_while_the_line_was_down_count_in_full(): void
    {
        $this->get(self::LESSON);
        $this->later(900);
        $this->report('0[.]5', '0[.]10', '0[.]15')->assertJson(['finished' => true]);
    }

    public function test_statements_of_other_verbs_bring_nothing(): void
    {
        $this->get(self::LESSON);
        $this->later(60);
        $completed = self::statement('', null, 'http://adlnet.gov/expapi/verbs/completed');
        unset($completed['result']);
        $this->postJson(self::LESSON.'/statements', $completed)->assertOk()->assertJson(['finished' => false, 'share' => 0]);
    }

    public function test_only_what_names_this_video_by_the_verbs_of_its_profile_counts(): void
    {
        $this->get(self::LESSON);
        $this->later(60);
        foreach ([['object' => ['id' => 'https://alder.test/courses/clinker/l-planes']], ['object' => ['id' => 'https://films.test/watch?v=1']], ['object' => []], ['verb' => ['id' => 'http://adlnet.gov/expapi/verbs/experienced']]] as $other) {
            $this->postJson(self::LESSON.'/statements', [...self::statement('0[.]30'), ...$other])->assertOk()->assertJson(['share' => 0, 'finished' => false]);
        }
        $share = $this->report('0[.]30')->assertOk()->json('share');
        self::assertGreaterThan(0, $share);
    }

    public function test_another_statement_with_the_same_id_is_refused(): void
    {
        $this->get(self::LESSON);
        $this->later(60);
        $id = (string) Str::uuid();
        $this->postJson(self::LESSON.'/statements', self::statement('0[.]10', $id))->assertOk();
        $this->postJson(self::LESSON.'/statements', self::statement('0[.]10', strtoupper($id)))->assertOk();
        $this->postJson(self::LESSON.'/statements', [self::statement('0[.]5'), self::statement('0[.]20', $id)])->assertStatus(409);
        // All of a list or none of it.
        self::assertSame(1, WatchReport::query()->count());
    }

    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused(mixed $given): void
    {
        $this->get(self::LESSON);
        $this->call('POST', self::LESSON.'/statements', server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: is_string($given) ? $given : (string) json_encode($given))->assertUnprocessable();
        self::assertSame(0, WatchReport::query()->count());
    }

    /** @return array<string, array{mixed}> */
    public static function nonsense(): array
    {
        return [
            'no JSON' => ['{'],
            'a word' => ['"paused"'],
            'no id' => [array_diff_key(self::statement('0[.]5'), ['id' => 1])],
            'an id that is none' => [self::statement('0[.]5', 'first')],
            'no verb' => [array_diff_key(self::statement('0[.]5'), ['verb' => 1])],
            'segments that are none' => [self::statement('0-5')],
            'segments as a list' => [['result' => ['extensions' => ['https://w3id.org/xapi/video/extensions/played-segments' => [0, 5]]]] + self::statement('')],
            'one of several' => [[self::statement('0[.]5'), ['id' => 7]]],
            'too many' => [array_fill(0, 51, self::statement('0[.]5'))],
        ];
    }

    public function test_nobody_reports_who_may_not_work_there(): void
    {
        $this->report('0[.]5')->assertOk();
        foreach (['eira' => 403, 'nina' => 403, 'hege' => 403] as $name => $status) {
            $this->actingAs($this->person($name));
            $this->report('0[.]5')->assertStatus($status);
        }
        ObserverTieFactory::new()->between($this->person('jonas'), $this->person('ragna'))->createOne();
        $this->actingAs($this->person('jonas'))->post('/look-with', ['learner' => $this->person('ragna')->id]);
        $this->report('0[.]5')->assertForbidden();
        $this->app->make('auth')->forgetGuards();
        $this->post('/sign-out');
        $this->report('0[.]5')->assertNotFound();
    }

    public function test_a_lesson_that_is_finished_otherwise_takes_no_reports(): void
    {
        $this->actingAs($this->person('eira'))->postJson('/courses/clinker/l-planes/statements', self::statement('0[.]5'))->assertForbidden();
    }

    public function test_a_pass_that_ends_meanwhile_ends_the_reports(): void
    {
        $this->get(self::LESSON);
        Carbon::setTestNow(Carbon::now()->addDays(200));
        $this->report('0[.]15')->assertForbidden();
    }
}
