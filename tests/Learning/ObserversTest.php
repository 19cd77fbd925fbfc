<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\Completion;
use App\Models\Message;
use App\Models\ObserverTie;
use App\Models\Person;
use Inertia\Testing\AssertableInertia as Page;
use Tests\Factories\ObserverTieFactory;
use Tests\TestCase;

/** Jonas looks with Ragna, who learns clinker planking, and with Ask, who bends frames. */
final class ObserversTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        foreach (['ragna', 'ask'] as $learner) {
            ObserverTieFactory::new()->between($this->person('jonas'), $this->person($learner))->createOne();
        }
        $this->actingAs($this->person('jonas'));
    }

    private function with(string $learner): void
    {
        $this->from('/courses')->post('/look-with', ['learner' => $this->person($learner)->id])->assertRedirect('/courses');
    }

    public function test_one_chooses_with_whom_to_look(): void
    {
        $this->get('/courses')->assertInertia(fn (Page $page) => $page->has('learners', 2)->where('learners.0.email', '')->where('observed', null));
        $this->with('ask');
        $this->get('/courses')->assertInertia(fn (Page $page) => $page->where('observed', $this->person('ask')->id)->where('courses', fn ($courses): bool => str_contains((string) json_encode($courses), 'Frames pass')));
    }

    public function test_they_see_what_the_learner_does_and_how_far_they_are(): void
    {
        $this->with('ask');
        $this->get('/courses/steam-frames')->assertInertia(fn (Page $page) => $page->where('course.as', 'with Ask Vollan')->where('course.finished', 2));
        $this->get('/courses/steam-frames/l-heat')->assertOk();
        $this->with('ragna');
        $this->get('/courses/steam-frames/l-heat')->assertForbidden();
        $this->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('course.as', 'with Ragna Lie'));
    }

    public function test_areas_that_admit_no_observers_stay_closed(): void
    {
        $this->with('ragna');
        $this->get('/courses/clinker/l-launch')->assertForbidden();
    }

    public function test_every_act_is_refused_by_the_server(): void
    {
        $this->with('ask');
        $before = Completion::query()->count();
        $this->get('/courses/steam-frames/l-heat')->assertInertia(fn (Page $page) => $page->where('finish', 'none'));
        foreach (['finished' => [], 'statements' => [], 'quiz' => ['version' => 1, 'answers' => [[0]]]] as $act => $with) {
            $this->post("/courses/steam-frames/l-heat/{$act}", $with)->assertForbidden();
        }
        $this->post('/courses/steam-frames/b-bench/posts', ['text' => 'Hello'])->assertForbidden();
        self::assertSame($before, Completion::query()->count());
    }

    public function test_nobody_looks_with_somebody_they_are_not_tied_to(): void
    {
        $this->post('/look-with', ['learner' => $this->person('sindre')->id])->assertNotFound();
        $this->actingAs($this->person('eira'))->post('/look-with', ['learner' => $this->person('ask')->id])->assertNotFound();
    }

    public function test_a_tie_that_is_cut_ends_it_at_once(): void
    {
        $this->with('ask');
        $this->get('/courses/steam-frames/l-heat')->assertOk();
        ObserverTie::query()->delete();
        $this->get('/courses/steam-frames/l-heat')->assertForbidden();
    }

    public function test_one_goes_back_to_looking_as_oneself(): void
    {
        $this->with('ask');
        $this->post('/look-with', ['learner' => 0]);
        $this->get('/courses/steam-frames')->assertInertia(fn (Page $page) => $page->where('course.as', null));
        $this->get('/courses/steam-frames/l-heat')->assertForbidden();
    }

    public function test_who_observes_one_alone_looks_with_that_one_at_once_and_is_sold_nothing(): void
    {
        ObserverTie::query()->where('learner_id', $this->person('ask')->id)->delete();
        $this->get('/courses')->assertInertia(fn (Page $page) => $page->where('observed', $this->person('ragna')->id)->where('looking.observed', $this->person('ragna')->id)->has('looking.learners', 1));
        $this->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('course.as', 'with Ragna Lie')->where('offers', []));
        $this->get('/courses/clinker/l-launch')->assertInertia(fn (Page $page) => $page->where('offers', []));
        // Who says so looks as themselves, and stays so.
        $this->post('/look-with', ['learner' => 0]);
        $this->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('course.as', null)->where('looking.observed', null));
    }

    public function test_who_has_courses_of_their_own_is_not_sent_to_those_of_others(): void
    {
        ObserverTieFactory::new()->between($this->person('tuva'), $this->person('ask'))->createOne();
        $this->actingAs($this->person('tuva'))->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('course.as', null)->has('looking.learners', 1));
        $this->actingAs($this->person('eira'))->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('looking', null));
    }

    public function test_being_tied_is_told_by_a_letter_that_leads_to_the_learner(): void
    {
        ObserverTie::query()->delete();
        $this->actingAs($this->person('hege'))->post('/keep/people/acts', ['do' => 'observe', 'people' => [$this->person('eira')->id], 'observer' => $this->person('jonas')->id])->assertSessionHas('flash.kind', 'done');
        $letter = Message::query()->where('to', 'jonas@alder.test')->latest('id')->firstOrFail();
        self::assertSame('You can look in on Eira Holm', $letter->subject);
        self::assertStringContainsString('Eira Holm: Clinker planking', $letter->body);
        self::assertSame(1, preg_match('#https?://[^/\s]+(/look-in/\d+)#', $letter->body, $found));
        // Signed out, one signs in on the way; then one is there.
        $this->app['auth']->forgetGuards();
        $this->get($found[1] ?? '')->assertRedirect();
        $this->actingAs($this->person('jonas'))->get($found[1] ?? '')->assertRedirect('/courses/clinker');
        $this->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('course.as', 'with Eira Holm'));
        $this->actingAs($this->person('tuva'))->get($found[1] ?? '')->assertNotFound();
    }

    public function test_one_letter_tells_of_many_and_none_of_those_who_were_tied_before(): void
    {
        $people = Person::query()->whereNull('role')->where('id', '!=', $this->person('jonas')->id)->orderBy('id')->limit(14)->pluck('id')->all();
        $this->actingAs($this->person('hege'))->post('/keep/people/acts', ['do' => 'observe', 'people' => $people, 'observer' => $this->person('jonas')->id])->assertSessionHas('flash.kind', 'done');
        $letter = Message::query()->where('to', 'jonas@alder.test')->sole();
        $new = 14 - count(array_intersect($people, [$this->person('ragna')->id, $this->person('ask')->id]));
        self::assertSame("You can look in on {$new} learners", $letter->subject);
        self::assertStringNotContainsString('Ragna Lie', $letter->body);
        self::assertSame(10, substr_count($letter->body, '/look-in/'));
        self::assertStringContainsString('and '.($new - 10).' more: http', $letter->body);
    }

    public function test_switching_from_a_page_that_is_not_there_for_the_other_leads_to_the_courses(): void
    {
        $this->with('ask');
        $this->from('/courses/steam-frames/l-heat')->post('/look-with', ['learner' => $this->person('ragna')->id])->assertRedirect('/courses/steam-frames/l-heat');
        $this->from('/courses/clinker/l-bonus')->post('/look-with', ['learner' => $this->person('ragna')->id])->assertRedirect('/courses');
        $this->from('/courses/clinker')->post('/look-with', ['learner' => $this->person('ask')->id])->assertRedirect('/courses/clinker');
    }
}
