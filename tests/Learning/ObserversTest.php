<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\Completion;
use App\Models\ObserverTie;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/** Jonas looks with Ragna, who learns clinker planking, and with Ask, who bends frames. */
final class ObserversTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        foreach (['ragna', 'ask'] as $learner) {
            ObserverTie::query()->create(['observer_id' => $this->person('jonas')->id, 'learner_id' => $this->person($learner)->id]);
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
}
