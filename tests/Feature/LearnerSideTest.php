<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Completion;
use App\Models\Content;
use App\Models\Course;
use App\Models\Person;
use Illuminate\Support\Carbon;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class LearnerSideTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_a_learner_sees_what_is_open_and_when_the_rest_opens(): void
    {
        $this->actingAs($this->person('sunniva'))->get('/courses/clinker')->assertOk()->assertInertia(fn (Page $page) => $page
            ->component('learner/Course')
            ->where('course.title', 'Clinker planking')
            ->where('next.key', 'l-welcome')
            ->where('course.path.4.key', 'm-tools')
            ->where('course.path.4.glyph', 'later')
            ->where('course.path.4.status.segments.0.text', 'Opens Sun 15 Mar, 09:00'));
    }

    public function test_what_must_be_finished_first_is_named(): void
    {
        $this->actingAs($this->person('eira'))->get('/courses/clinker/l-timber')->assertForbidden()->assertInertia(fn (Page $page) => $page
            ->component('learner/Notice')
            ->where('heading.segments.1', ['text' => 'Choosing larch', 'title' => true])
            ->where('text.segments.1', ['text' => 'Tuning a plane', 'title' => true]));
    }

    public function test_a_hidden_item_cannot_be_told_from_one_that_is_not_there(): void
    {
        $this->actingAs($this->person('eira'));
        $hidden = $this->get('/courses/clinker/l-bonus')->assertNotFound()->getContent();
        $missing = $this->get('/courses/clinker/l-bonux')->assertNotFound()->getContent();

        self::assertSame(str_replace('l-bonux', 'l-bonus', (string) $missing), $hidden);
        $this->get('/courses/clinker')->assertDontSee('building the oars');
    }

    public function test_a_course_in_draft_is_not_there(): void
    {
        $this->actingAs($this->person('eira'))->get('/courses/oars')->assertNotFound();
        $this->get('/courses/oars/l-spruce')->assertNotFound();
    }

    public function test_marking_a_lesson_opens_what_waited_for_it(): void
    {
        $this->actingAs($this->person('eira'));
        $this->get('/courses/clinker/l-timber')->assertForbidden();
        $this->post('/courses/clinker/l-planes/finished')->assertRedirect();
        $this->post('/courses/clinker/l-planes/finished')->assertRedirect();

        self::assertSame(1, Completion::query()->where('person_id', $this->person('eira')->id)->where('item_key', 'l-planes')->count());
        $this->get('/courses/clinker/l-timber')->assertOk();
    }

    public function test_a_closed_lesson_cannot_be_marked(): void
    {
        $this->actingAs($this->person('eira'))->post('/courses/clinker/l-garboard/finished')->assertForbidden();
        $this->post('/courses/clinker/l-bonus/finished')->assertNotFound();
        self::assertSame(1, Completion::query()->where('person_id', $this->person('eira')->id)->count());
    }

    public function test_a_sample_may_be_looked_at_and_not_marked(): void
    {
        $this->actingAs($this->person('jonas'))->get('/courses/clinker/l-welcome')->assertOk()->assertInertia(fn (Page $page) => $page->where('finish', 'none'));
        $this->post('/courses/clinker/l-welcome/finished')->assertForbidden();
    }

    public function test_a_lesson_that_is_finished_by_a_quiz_is_not_finished_by_a_mark(): void
    {
        $this->actingAs($this->person('jorunn'));
        Completion::query()->where('person_id', $this->person('jorunn')->id)->where('item_key', 'l-timber')->delete();
        $this->get('/courses/clinker/l-timber')->assertOk()->assertInertia(fn (Page $page) => $page->where('finish', 'quiz'));
        $this->post('/courses/clinker/l-timber/finished');

        self::assertSame(0, Completion::query()->where('person_id', $this->person('jorunn')->id)->where('item_key', 'l-timber')->count());
    }

    public function test_a_visitor_is_asked_to_sign_in_and_comes_back_to_exactly_this_page(): void
    {
        $this->get('/courses/clinker/l-garboard')->assertUnauthorized()->assertInertia(fn (Page $page) => $page
            ->component('learner/Notice')->where('signIn', url('/sign-in').'?back=%2Fcourses%2Fclinker%2Fl-garboard'));
        $this->get('/sign-in?back=%2Fcourses%2Fclinker%2Fl-garboard')->assertOk();
        $this->post('/sign-in', ['email' => 'eira@alder.test', 'password' => 'larch-and-oak'])->assertRedirect('/courses/clinker/l-garboard');
    }

    #[DataProvider('foreignAddresses')]
    public function test_signing_in_does_not_lead_to_another_site(string $back): void
    {
        $this->get('/sign-in?back='.rawurlencode($back));
        $this->post('/sign-in', ['email' => 'eira@alder.test', 'password' => 'larch-and-oak'])->assertRedirect('/');
    }

    /** @return list<array{string}> */
    public static function foreignAddresses(): array
    {
        return [['https://elsewhere.test/'], ['//elsewhere.test/'], ['/\\elsewhere.test'], ['javascript:alert(1)'], ["/courses\nSet-Cookie: a=b"]];
    }

    public function test_wrong_passwords_are_throttled(): void
    {
        foreach (range(1, 5) as $_) {
            $this->post('/sign-in', ['email' => 'eira@alder.test', 'password' => 'wrong'])->assertSessionHasErrors(['email' => 'This e-mail address and password do not belong together.']);
        }
        $this->post('/sign-in', ['email' => 'eira@alder.test', 'password' => 'larch-and-oak'])->assertSessionHasErrors('email');
        $this->assertGuest();
    }

    public function test_the_notice_after_the_end_of_a_trial_says_so(): void
    {
        $this->actingAs($this->person('nina'))->get('/courses/clinker/l-planes')->assertForbidden()->assertInertia(fn (Page $page) => $page
            ->where('glyph', 'over')->where('heading.segments.0.text', 'Your pass has ended'));
    }

    public function test_time_opens_a_module_for_its_learner(): void
    {
        $this->actingAs($this->person('sunniva'))->get('/courses/clinker/l-planes')->assertForbidden();
        Carbon::setTestNow('2026-03-15T07:59:59Z');
        $this->get('/courses/clinker/l-planes')->assertForbidden();
        Carbon::setTestNow('2026-03-15T08:00:00Z');
        $this->get('/courses/clinker/l-planes')->assertOk();
    }

    /** Every address of every course as everybody: nothing of what is closed is in any answer. */
    public function test_no_answer_carries_what_is_closed(): void
    {
        $texts = [];
        foreach (Content::query()->get() as $content) {
            $marker = 'MARK'.$content->id.'KRAM';
            $content->update(['text' => $marker]);
            $texts[$content->course_id][$content->item_key] = $marker;
        }
        $everybody = [null, ...Person::query()->whereNull('role')->whereIn('id', Person::query()->pluck('id')->filter(static fn (int $id): bool => $id % 3 !== 1))->get()->all()];
        $open = 0;
        foreach ($everybody as $person) {
            $this->app->make('auth')->forgetGuards();
            $person === null ? null : $this->actingAs($person);
            foreach (Course::query()->get() as $course) {
                foreach ([null, ...array_keys($texts[$course->id] ?? [])] as $item) {
                    $this->app->forgetScopedInstances();
                    $answer = $this->get("/courses/{$course->key}".($item === null ? '' : "/{$item}"));
                    preg_match_all('/MARK\d+KRAM/', (string) $answer->getContent(), $found);
                    $allowed = $item !== null && $answer->status() === 200 ? [$texts[$course->id][$item]] : [];
                    self::assertSame($allowed, array_values(array_unique($found[0])), "{$course->key}/{$item} as ".($person->name ?? 'a visitor'));
                    $open += count($allowed);
                }
            }
        }
        self::assertGreaterThan(100, $open);
    }

    public function test_scripts_in_a_text_do_not_reach_the_page(): void
    {
        Content::query()->where('item_key', 'l-welcome')->update(['text' => "**b** <script>alert(1)</script> <img src=x onerror=alert(1)> [a](javascript:alert(1))\n\n<script>alert(2)</script>"]);
        $this->get('/courses/clinker/l-welcome')->assertOk()->assertInertia(function (Page $page): void {
            $html = $page->toArray()['props']['html'];
            self::assertStringContainsString('<strong>b</strong>', $html);
            self::assertStringNotContainsString('script', $html);
            self::assertStringNotContainsString('onerror', $html);
        });
    }

    public function test_every_page_sets_its_security_headers(): void
    {
        $policy = (string) $this->get('/courses/clinker')->headers->get('Content-Security-Policy');

        self::assertStringContainsString("script-src 'self';", $policy);
        self::assertStringNotContainsString('unsafe-eval', $policy);
    }
}
