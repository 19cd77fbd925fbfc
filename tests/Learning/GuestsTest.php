<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\Completion;
use App\Models\CourseDocument;
use App\Models\Revision;
use App\Models\School;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/** Clinker planking lets guests in by its link, to the announcements and the open day tour. */
final class GuestsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->course()->update(['guest_token' => str_repeat('a', 32)]);
    }

    /** As a browser that keeps what it was given. */
    private function comeIn(): void
    {
        $cookie = $this->get($this->link())->assertRedirect('/courses/clinker')->getCookie('guest-'.$this->course()->id);
        self::assertNotNull($cookie);
        self::assertTrue($cookie->isHttpOnly());
        $this->withCookie($cookie->getName(), (string) $cookie->getValue());
    }

    private function link(): string
    {
        return '/g/'.$this->course()->guest_token;
    }

    public function test_a_link_without_a_phrase_lets_in_to_look(): void
    {
        $this->get('/courses/clinker/l-open-day')->assertNotFound();
        $this->comeIn();
        $this->get('/courses/clinker/l-open-day')->assertOk()->assertInertia(fn (Page $page) => $page->component('learner/Lesson')->where('course.as', 'as a guest')->where('finish', 'none'));
        $this->get('/courses/clinker/b-news')->assertOk();
    }

    public function test_guests_do_not_act_and_do_not_see_the_rest(): void
    {
        $this->comeIn();
        $this->post('/courses/clinker/l-open-day/finished')->assertNotFound();
        $this->post('/courses/clinker/b-news/posts', ['text' => 'Hello'])->assertNotFound();
        self::assertSame(0, Completion::query()->where('item_key', 'l-open-day')->count());
        $this->get('/courses/clinker/l-planes')->assertForbidden()->assertInertia(fn (Page $page) => $page->where('case', 'no-guests')->where('signIn', fn (?string $address): bool => $address !== null));
        $this->get('/courses/clinker/b-marks')->assertForbidden();
    }

    public function test_leaving_ends_it_and_the_link_lets_in_again(): void
    {
        $this->comeIn();
        $cookie = $this->post('/courses/clinker/leave')->assertRedirect('/')->getCookie('guest-'.$this->course()->id, false);
        self::assertTrue($cookie?->isCleared());
        $this->defaultCookies = [];
        $this->get('/courses/clinker/l-open-day')->assertNotFound();
        $this->comeIn();
        $this->get('/courses/clinker/l-open-day')->assertOk();
    }

    public function test_a_changed_link_puts_out_whoever_came_by_the_old_one(): void
    {
        $this->comeIn();
        $old = $this->link();
        $this->actingAs($this->person('hege'))->post('/keep/courses/clinker/guest-link')->assertRedirect();
        $this->post('/sign-out');
        $this->get($old)->assertNotFound();
        $this->get('/courses/clinker/l-open-day')->assertNotFound();
        $this->get($this->link())->assertRedirect('/courses/clinker');
    }

    public function test_a_door_that_is_shut_leads_nowhere(): void
    {
        School::query()->update(['guests' => false]);
        $this->app->forgetScopedInstances();
        $this->get($this->link())->assertNotFound();
        $this->get('/g/'.str_repeat('b', 32))->assertNotFound();
    }

    public function test_a_link_that_leads_nowhere_says_so_and_whom_to_ask(): void
    {
        $this->get('/g/'.str_repeat('b', 32))->assertNotFound()->assertInertia(fn (Page $page) => $page->component('Error')->where('why', 'guest link')->where('contact.email', 'hege@alder.test'));
        School::query()->update(['contact_email' => null]);
        $this->app->forgetScopedInstances();
        $this->get('/g/'.str_repeat('b', 32))->assertInertia(fn (Page $page) => $page->where('contact', null));
    }

    /** Whether it is hidden from guests or is not there at all: the answer is the same. */
    public function test_a_guest_at_what_is_not_for_guests_is_told_so_and_whom_to_ask(): void
    {
        $this->get($this->link());
        $guest = fn (string $item): TestResponse => $this->withCookie('guest-'.$this->course()->id, (string) $this->course()->guest_token)->get("/courses/clinker/{$item}");
        $hidden = $guest('l-bonus')->assertNotFound()->assertInertia(fn (Page $page) => $page->where('why', 'guest hidden')->where('contact.name', 'Hege Strand'));
        $nothing = $guest('l-nothing')->assertNotFound();
        self::assertSame(str_replace('l-nothing', 'l-bonus', (string) $nothing->getContent()), (string) $hidden->getContent());
        // Nobody else reads of guests.
        $this->actingAs($this->person('jonas'))->get('/courses/clinker/l-bonus')->assertNotFound()->assertInertia(fn (Page $page) => $page->where('why', null)->where('contact', null));
    }

    public function test_the_page_that_asks_for_the_phrase_names_course_and_school(): void
    {
        $revision = Revision::query()->findOrFail($this->course()->live_revision_id);
        $document = CourseDocument::fromJson($revision->document);
        $document->raw()->display = (object) ['guest_phrase' => 'three strakes'];
        Revision::query()->whereKey($revision->id)->update(['document' => $document->toJson()]);
        $this->get($this->link())->assertOk()->assertInertia(fn (Page $page) => $page->where('course', 'Clinker planking'))->assertSee('look into Clinker planking at Alder &amp; Tide', escape: false);
    }

    public function test_a_pass_phrase_is_asked_for_and_its_case_does_not_matter(): void
    {
        $revision = Revision::query()->findOrFail($this->course()->live_revision_id);
        $document = CourseDocument::fromJson($revision->document);
        $document->raw()->display = (object) ['guest_phrase' => 'three strakes'];
        Revision::query()->whereKey($revision->id)->update(['document' => $document->toJson()]);

        $this->get($this->link())->assertOk()->assertInertia(fn (Page $page) => $page->component('learner/GuestDoor')->missing('phrase'));
        $this->from($this->link())->post($this->link(), ['phrase' => 'three strokes'])->assertSessionHasErrors(['phrase' => 'That is not the pass phrase.'])->assertCookieMissing('guest-'.$this->course()->id);
        $this->post($this->link(), ['phrase' => ' Three STRAKES '])->assertRedirect('/courses/clinker')->assertCookie('guest-'.$this->course()->id);
    }

    public function test_a_guest_at_a_sample_that_asks_for_an_account_is_offered_one_and_looks(): void
    {
        $revision = Revision::query()->findOrFail($this->course()->live_revision_id);
        $document = CourseDocument::fromJson($revision->document);
        $document->raw()->sample_needs_account = true;
        Revision::query()->whereKey($revision->id)->update(['document' => $document->toJson()]);
        $this->comeIn();
        $this->get('/courses/clinker/l-welcome')->assertUnauthorized()->assertInertia(fn (Page $page) => $page->where('case', 'account')->where('signIn', fn (?string $address): bool => $address !== null));
        // What is no sample is still not for guests.
        $this->get('/courses/clinker/l-planes')->assertForbidden()->assertInertia(fn (Page $page) => $page->where('case', 'no-guests'));
        $this->post('/courses/clinker/l-welcome/look', ['name' => 'Alva', 'email' => 'alva@elsewhere.test'])->assertRedirect('/courses/clinker/l-welcome');
        $this->get('/courses/clinker/l-welcome')->assertOk()->assertInertia(fn (Page $page) => $page->component('learner/Lesson'));
    }

    public function test_learners_and_assistants_do_not_change_the_link(): void
    {
        foreach (['eira' => 404, 'aksel' => 403] as $name => $status) {
            $this->actingAs($this->person($name))->post('/keep/courses/clinker/guest-link')->assertStatus($status);
        }
        self::assertSame('/g/'.str_repeat('a', 32), $this->link());
    }
}
