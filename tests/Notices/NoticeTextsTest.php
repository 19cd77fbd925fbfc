<?php

declare(strict_types=1);

namespace Tests\Notices;

use App\Models\Activity;
use App\Models\CourseDocument;
use App\Models\NoticeText;
use App\Models\Revision;
use App\Notices\NoticeCase;
use App\Notices\Placeholders;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

final class NoticeTextsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->wordless();
    }

    /**
     * @param  array<string, mixed>  $words
     * @return TestResponse<Response>
     */
    private function say(string $case, array $words, string $where = '/keep/notices', int $version = 0): TestResponse
    {
        return $this->actingAs($this->person('hege'))->from($where)->put("{$where}/{$case}", ['version' => $version, 'way' => 'show', 'heading' => '', 'text' => '', ...$words]);
    }

    /** Every kind of closed door of the demo, as its own viewer meets it: what it is taken for, and its status. */
    #[DataProvider('doors')]
    public function test_each_kind_of_closed_door_has_its_case_and_status(?string $who, string $address, string $case, int $status): void
    {
        $who === null ? null : $this->actingAs($this->person($who));
        $this->get($address)->assertStatus($status)->assertInertia(fn (Page $page) => $page->component('learner/Notice')->where('case', $case)->where('html', null));
    }

    /** @return array<string, array{?string, string, string, int}> */
    public static function doors(): array
    {
        return [
            'nobody we know' => [null, '/courses/clinker/l-planes', 'unknown', 401],
            'known, without a pass' => ['jonas', '/courses/clinker/l-planes', 'no-pass', 403],
            'a pass for another tier' => ['ragna', '/courses/clinker/l-advanced', 'other-tier', 403],
            'a pass for other modules' => ['per', '/courses/clinker/l-garboard', 'other-part', 403],
            'too early' => ['sunniva', '/courses/clinker/l-planes', 'too-early', 403],
            'a pass that begins later' => ['birk', '/courses/clinker/l-planes', 'too-early', 403],
            'something first' => ['eira', '/courses/clinker/l-timber', 'finish-first', 403],
            'ended' => ['gro', '/courses/clinker/l-planes', 'ended', 403],
            'paused' => ['liv', '/courses/clinker/l-planes', 'paused', 403],
            'closed again' => ['embla', '/courses/winter-refit/l-scrape', 'closed', 403],
            'retired' => ['jonas', '/courses/petrol/l-winter', 'course-retired', 403],
        ];
    }

    public function test_a_sample_that_asks_for_an_account_says_so_and_takes_one(): void
    {
        $revision = Revision::query()->findOrFail($this->course()->live_revision_id);
        $document = CourseDocument::fromJson($revision->document);
        $document->raw()->sample_needs_account = true;
        Revision::query()->whereKey($revision->id)->update(['document' => $document->toJson()]);

        $this->get('/courses/clinker/l-welcome')->assertUnauthorized()->assertInertia(fn (Page $page) => $page->where('case', 'account')->where('heading.segments.0.text', 'Welcome to the shed'));
        $this->post('/courses/clinker/l-welcome/look', ['name' => 'Alva Brekke', 'email' => 'alva@elsewhere.test'])->assertRedirect('/courses/clinker/l-welcome');
        $this->get('/courses/clinker/l-welcome')->assertOk();
    }

    public function test_the_schools_own_words_hold_in_every_course_with_names_filled_in(): void
    {
        $this->say('no-pass', ['heading' => 'Not yet, {name}', 'text' => '**{title}** is part of {course}. Ask {contact} of {school}.'])->assertSessionHas('flash.kind', 'done');
        $this->actingAs($this->person('jonas'))->get('/courses/clinker/l-planes')->assertForbidden()->assertInertia(fn (Page $page) => $page
            ->where('heading.segments.0.text', 'Not yet, Jonas Wren')
            ->where('html', '<p><strong>Tuning a plane</strong> is part of Clinker planking. Ask Hege Strand of Alder &amp; Tide.</p>'."\n"));
        $this->get('/courses/steam-frames/l-rive')->assertInertia(fn (Page $page) => $page->where('html', fn (string $html): bool => str_contains($html, 'Riving blanks')));
        $this->actingAs($this->person('eira'))->get('/courses/clinker/l-timber')->assertInertia(fn (Page $page) => $page->where('html', null));
    }

    public function test_the_words_of_a_course_come_before_those_of_the_school(): void
    {
        $this->say('no-pass', ['text' => 'Of the school.']);
        $this->say('no-pass', ['text' => 'Of the course.'], '/keep/courses/clinker/notices');
        $this->get('/keep/courses/clinker/notices')->assertOk()->assertInertia(fn (Page $page) => $page->where('notices.2.from', 'course')->where('notices.1.from', 'usual'));
        $this->get('/keep/courses/sails/notices')->assertInertia(fn (Page $page) => $page->where('notices.2.from', 'school')->where('notices.2.version', 0));
        $this->actingAs($this->person('jonas'))->get('/courses/clinker/l-planes')->assertInertia(fn (Page $page) => $page->where('html', "<p>Of the course.</p>\n"));
        $this->get('/courses/steam-frames/l-rive')->assertInertia(fn (Page $page) => $page->where('html', "<p>Of the school.</p>\n"));
    }

    public function test_letting_go_brings_back_what_holds_without(): void
    {
        $this->say('no-pass', ['text' => 'Of the school.']);
        $version = NoticeText::query()->firstOrFail()->version;
        $this->delete('/keep/notices/no-pass', ['version' => $version])->assertSessionHas('flash.kind', 'done');
        self::assertSame(0, NoticeText::query()->count());
        self::assertSame(2, Activity::query()->where('action', 'notice.changed')->count());
    }

    public function test_a_case_may_send_people_to_sign_in_or_to_an_address(): void
    {
        $this->say('unknown', ['way' => 'sign-in'])->assertSessionHasNoErrors();
        $this->say('no-pass', ['way' => 'address', 'address' => '/checkout/apprentice-pass'])->assertSessionHasNoErrors();
        $this->post('/sign-out');
        $this->get('/courses/clinker/l-planes')->assertRedirect(route('sign-in', ['back' => '/courses/clinker/l-planes']));
        $this->actingAs($this->person('jonas'))->get('/courses/clinker/l-planes')->assertRedirect('/checkout/apprentice-pass');
        // Who stands in for them is told, and stays.
        $this->actingAs($this->person('hege'))->get('/keep/courses/clinker/stand-in/view/l-planes?v[]=visitor')->assertOk()->assertInertia(fn (Page $page) => $page->component('learner/SentAway'));
        $this->get('/keep/courses/clinker/stand-in/view/l-planes?v[]=member')->assertOk()->assertInertia(fn (Page $page) => $page->component('learner/SentAway')->where('address', '/checkout/apprentice-pass'));
    }

    public function test_an_address_that_is_the_door_itself_does_not_lead_in_a_circle(): void
    {
        $this->say('no-pass', ['way' => 'address', 'address' => url('/courses/clinker/l-planes')])->assertSessionHasErrors('address');
        // As it may have been when the lesson stood open.
        NoticeText::query()->create(['scope' => 'school', 'case' => 'no-pass', 'way' => 'address', 'address' => '/courses/clinker/l-planes']);
        $this->actingAs($this->person('jonas'))->get('/courses/clinker/l-planes')->assertForbidden();
        $this->get('/courses/clinker/l-timber')->assertRedirect('/courses/clinker/l-planes');
    }

    public function test_what_is_hidden_has_no_notice_whatever_is_said(): void
    {
        $this->say('other-people', ['way' => 'address', 'address' => 'https://elsewhere.test/']);
        $this->actingAs($this->person('eira'))->get('/courses/clinker/l-bonus')->assertNotFound();
    }

    /** @param  array<string, mixed>  $words */
    #[DataProvider('refused')]
    public function test_what_cannot_be_is_refused_at_its_field(string $case, array $words, string $field): void
    {
        $this->say($case, $words)->assertSessionHasErrors($field);
        self::assertSame(0, NoticeText::query()->count());
    }

    /** @return array<string, array{string, array<string, mixed>, string}> */
    public static function refused(): array
    {
        return [
            'a placeholder that is none' => ['no-pass', ['text' => 'Dear {nmae}'], 'text'],
            'one in the heading' => ['no-pass', ['heading' => '{}'], 'heading'],
            'endless text' => ['no-pass', ['text' => str_repeat('a', 5001)], 'text'],
            'sign-in for who is signed in' => ['no-pass', ['way' => 'sign-in'], 'way'],
            'no address' => ['no-pass', ['way' => 'address'], 'address'],
            'a script' => ['no-pass', ['way' => 'address', 'address' => 'javascript:alert(1)'], 'address'],
            'without a lock' => ['no-pass', ['way' => 'address', 'address' => 'http://elsewhere.test/'], 'address'],
            'another site by a trick' => ['no-pass', ['way' => 'address', 'address' => '//elsewhere.test'], 'address'],
            'and another' => ['no-pass', ['way' => 'address', 'address' => '/\\elsewhere.test'], 'address'],
        ];
    }

    public function test_two_editors_do_not_overwrite_each_other(): void
    {
        $this->say('no-pass', ['text' => 'First.']);
        $version = NoticeText::query()->firstOrFail()->version;
        $this->say('no-pass', ['text' => 'Second.'])->assertSessionHas('flash.kind', 'refused');
        $this->say('no-pass', ['text' => 'Third.'], version: $version)->assertSessionHas('flash.kind', 'done');
        $this->delete('/keep/notices/no-pass', ['version' => $version])->assertSessionHas('flash.kind', 'refused');
        self::assertSame('Third.', NoticeText::query()->firstOrFail()->text);
    }

    public function test_names_mean_nothing_in_the_text_and_scripts_do_not_run(): void
    {
        $this->person('jonas')->update(['name' => '<b>*J*</b> [x](https://elsewhere.test)']);
        $this->say('no-pass', ['heading' => '{name}', 'text' => 'Dear {name} <script>alert(1)</script><img src=x onerror=alert(1)>']);
        $this->actingAs($this->person('jonas'))->get('/courses/clinker/l-planes')->assertInertia(function (Page $page): void {
            $html = $page->toArray()['props']['html'];
            self::assertIsString($html);
            self::assertStringContainsString('Dear &lt;b&gt;*J*&lt;/b&gt; [x](https://elsewhere.test)', $html);
            self::assertStringNotContainsString('<a', $html);
            self::assertStringNotContainsString('onerror', $html);
            self::assertStringNotContainsString('<script', $html);
        });
    }

    public function test_the_preview_fills_in_and_names_what_stands_for_nothing(): void
    {
        $this->actingAs($this->person('hege'))->postJson('/keep/courses/clinker/notices/preview', ['heading' => '{title}', 'text' => 'Opens {opens}, after {first}. {oops}'])->assertOk()
            ->assertJson(['heading' => 'Open day tour', 'unknown' => ['oops'], 'html' => "<p>Opens Mon 16 Mar, 13:00, Oslo time, after Welcome to the shed. {oops}</p>\n"]);
    }

    public function test_assistants_read_and_change_nothing(): void
    {
        $this->actingAs($this->person('aksel'))->get('/keep/notices')->assertOk()->assertInertia(fn (Page $page) => $page->where('mayEdit', false)->has('notices', count(NoticeCase::cases())));
        $this->put('/keep/notices/no-pass', ['version' => 0, 'way' => 'show', 'text' => 'x'])->assertForbidden();
        $this->delete('/keep/notices/no-pass', ['version' => 0])->assertForbidden();
        $this->actingAs($this->person('hege'))->put('/keep/notices/nonsense', ['version' => 0, 'way' => 'show'])->assertNotFound();
    }

    public function test_the_usual_words_use_no_placeholder_that_stands_for_nothing(): void
    {
        foreach (NoticeCase::cases() as $case) {
            foreach ($case->usual() as $words) {
                self::assertSame([], Placeholders::unknownIn($words), $case->value);
            }
        }
    }
}
