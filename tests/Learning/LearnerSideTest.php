<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\Completion;
use App\Models\Content;
use App\Models\Pass;
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

    public function test_a_course_tells_what_opens_next_how_long_the_pass_lasts_and_where_one_was(): void
    {
        $this->actingAs($this->person('sunniva'))->get('/courses/clinker')->assertInertia(fn (Page $page) => $page
            ->where('course.left', '178 days left')->where('opens.title', 'Tools and timber')->where('opens.at', 'Sun 15 Mar, 09:00')->where('last', null)->where('next.key', 'l-welcome'));
        $this->actingAs($this->person('ragna'))->get('/courses/clinker/l-steam');
        $this->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('last.key', 'l-steam'));
        // What is finished is not gone on with.
        $this->get('/courses/clinker/l-planes');
        $this->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('last', null)->where('next.key', 'l-steam'));
    }

    /** @param  int  $before  seconds before the end */
    #[DataProvider('lefts')]
    public function test_the_end_of_a_pass_is_counted_down(int $before, ?string $left): void
    {
        $pass = Pass::query()->where('person_id', $this->person('marius')->id)->firstOrFail();
        Carbon::setTestNow(Carbon::parse($pass->ends_at)->subSeconds($before));
        $this->actingAs($this->person('marius'))->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('course.left', $left));
    }

    /** @return list<array{int, ?string}> */
    public static function lefts(): array
    {
        return [[3 * 86400, '3 days left'], [3 * 86400 - 1, '2 days left'], [2 * 86400 - 1, '47 hours left'], [7200, '2 hours left'], [7199, '119 minutes left'], [61, '1 minute left'], [59, '1 minute left'], [0, null]];
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
        $this->post('/sign-in', ['email' => 'eira@alder.test', 'password' => 'larch-and-oak'])->assertRedirect('/courses');
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
        foreach (['/', '/courses/clinker', '/courses/clinker/l-planes', '/courses/clinker/nothing', '/sign-in', '/checkout/apprentice-pass'] as $address) {
            $answer = $this->get($address);
            $policy = (string) $answer->headers->get('Content-Security-Policy');
            self::assertStringContainsString("default-src 'self';", $policy, $address);
            self::assertStringContainsString("script-src 'self';", $policy, $address);
            self::assertStringContainsString("object-src 'none';", $policy, $address);
            self::assertStringContainsString("base-uri 'none';", $policy, $address);
            self::assertStringContainsString("frame-ancestors 'self'", $policy, $address);
            self::assertStringNotContainsString('unsafe-eval', $policy);
            self::assertSame('nosniff', $answer->headers->get('X-Content-Type-Options'));
            self::assertSame('same-origin', $answer->headers->get('Referrer-Policy'));
            // Nothing runs that stands in the page itself: its data is not a script.
            preg_match_all('/<script(?![^>]*(?:\ssrc=|type="application\/json"))[^>]*>/', (string) $answer->getContent(), $inline);
            self::assertSame([], $inline[0], $address);
        }
    }

    public function test_cookies_cannot_be_read_by_scripts_nor_sent_from_other_sites(): void
    {
        foreach ($this->get('/courses/clinker')->headers->getCookies() as $cookie) {
            self::assertSame('lax', $cookie->getSameSite(), $cookie->getName());
            // The token against forged requests is there to be read.
            self::assertSame($cookie->getName() !== 'XSRF-TOKEN', $cookie->isHttpOnly(), $cookie->getName());
        }
        config(['session.secure' => true]);
        $session = collect($this->get('/courses/clinker')->headers->getCookies())->first(static fn ($cookie): bool => $cookie->getName() === 'silent_keep_session');
        self::assertTrue($session?->isSecure());
    }

    /** The framework leaves the check out in tests; here it is done. */
    #[DataProvider('writes')]
    public function test_a_request_forged_by_another_site_is_refused(string $address): void
    {
        $this->app['env'] = 'local';
        $this->actingAs($this->person('eira'))->post($address, ['text' => 'x'], ['Accept' => 'application/json'])->assertStatus(419);
    }

    /** @return list<array{string}> */
    public static function writes(): array
    {
        return [['/courses/clinker/l-planes/finished'], ['/courses/clinker/l-steam/statements'], ['/courses/clinker/l-timber/quiz'], ['/courses/clinker/b-news/posts'], ['/checkout/apprentice-pass'], ['/look-with'], ['/calendar-link'], ['/courses/clinker/leave'], ['/sign-out']];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('throttled')]
    public function test_what_can_be_guessed_at_is_throttled(string $address, array $with, int $most): void
    {
        $this->course()->update(['guest_token' => str_repeat('a', 32)]);
        $statuses = array_map(fn (int $_): int => $this->post($address, $with)->getStatusCode(), range(1, $most + 1));
        self::assertNotContains(429, array_slice($statuses, 0, $most));
        self::assertSame(429, $statuses[$most]);
    }

    /** @return array<string, array{string, array<string, mixed>, int}> */
    public static function throttled(): array
    {
        return [
            'pass phrases' => ['/g/'.str_repeat('a', 32), ['phrase' => 'wrong'], 10],
            'links by mail' => ['/sign-in/link', ['email' => 'no address'], 5],
            'accounts for a sample' => ['/courses/clinker/l-welcome/look', ['name' => 'A', 'email' => 'no address'], 10],
            'accounts by buying' => ['/checkout/apprentice-pass', ['name' => 'A', 'email' => 'no address'], 20],
        ];
    }

    public function test_addresses_that_let_in_cannot_be_guessed(): void
    {
        $this->actingAs($this->person('hege'))->post('/keep/courses/clinker/guest-link');
        self::assertMatchesRegularExpression('/^[0-9a-f]{32}$/', (string) $this->course()->guest_token);
        $this->actingAs($this->person('eira'))->post('/calendar-link');
        self::assertMatchesRegularExpression('/^[A-Za-z0-9]{40}$/', (string) $this->person('eira')->calendar_token);
    }
}
