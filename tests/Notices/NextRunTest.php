<?php

declare(strict_types=1);

namespace Tests\Notices;

use App\Models\Activity;
use App\Models\Message;
use App\Models\NextRun;
use App\Notices\NextRuns\TellOfNextRun;
use App\Standins\Mail\Postbox;
use Illuminate\Support\Facades\RateLimiter;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Whoever comes to a course that is over can ask to be told when it runs again. */
final class NextRunTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    private function reopen(): void
    {
        $this->actingAs($this->person('hege'));
        $this->post('/keep/courses/petrol/run-again', ['version' => 0, 'first' => '2027-06-20', 'as' => 'draft', 'reopen' => true])->assertSessionHasNoErrors();
        $this->post('/keep/courses/petrol/revisions', ['version' => 1, 'note' => 'Again'])->assertSessionHas('flash.kind', 'done');
        $this->inAnotherProcess();
    }

    public function test_the_closing_words_and_the_notice_of_a_course_that_is_over_ask(): void
    {
        $this->get('/courses/petrol')->assertInertia(fn ($page) => $page->where('closing.signUp', 'form'));
        $this->get('/courses/petrol/l-winter')->assertForbidden()->assertInertia(fn ($page) => $page->where('signUp', 'form'));
        $this->actingAs($this->person('jonas'))->get('/courses/petrol')->assertInertia(fn ($page) => $page->where('closing.signUp', 'account'));
        // Where it goes on there is nothing to ask.
        $this->get('/courses/clinker/l-planes')->assertInertia(fn ($page) => $page->where('signUp', 'none'));
    }

    public function test_who_asks_twice_waits_once(): void
    {
        $ask = fn () => $this->post('/courses/petrol/next-run', ['name' => 'Alva Brekke', 'email' => ' Alva@Elsewhere.test '])->assertSessionHasNoErrors()->assertSessionHas('flash.text', 'We write to Alva@Elsewhere.test when Petrol engines for small boats runs again.');
        $ask();
        $ask();
        self::assertSame(['alva@elsewhere.test'], NextRun::query()->pluck('email')->all());
        $this->actingAs($this->person('jonas'))->post('/courses/petrol/next-run', ['name' => 'Somebody else', 'email' => 'else@elsewhere.test'])->assertSessionHas('flash.kind', 'done');
        self::assertSame(['Alva Brekke', 'Jonas Wren'], NextRun::query()->orderBy('id')->pluck('name')->all(), 'Whoever is signed in asks for themselves.');
    }

    /** @return array<string, array{array<string, mixed>, list<string>}> */
    public static function refused(): array
    {
        return [
            'nothing' => [[], ['name', 'email']],
            'no address' => [['name' => 'A', 'email' => 'somewhere'], ['email']],
            'lists' => [['name' => ['A'], 'email' => ['a@b.test']], ['name', 'email']],
            'very long' => [['name' => str_repeat('a', 201), 'email' => 'a@b.test'], ['name']],
        ];
    }

    /**
     * @param  array<string, mixed>  $said
     * @param  list<string>  $fields
     */
    #[DataProvider('refused')]
    public function test_what_cannot_be_written_to_is_refused_at_its_field(array $said, array $fields): void
    {
        $this->post('/courses/petrol/next-run', $said)->assertSessionHasErrors($fields);
        self::assertSame(0, NextRun::query()->count());
    }

    public function test_there_is_nothing_to_ask_where_the_course_goes_on_or_is_not_known_of(): void
    {
        $said = ['name' => 'Alva Brekke', 'email' => 'alva@elsewhere.test'];
        $this->post('/courses/clinker/next-run', $said)->assertNotFound();
        $this->post('/courses/nothing/next-run', $said)->assertNotFound();
        RateLimiter::clear('next-run');
        $this->course('petrol')->update(['takes_next_run' => false]);
        $this->get('/courses/petrol')->assertInertia(fn ($page) => $page->where('closing.signUp', 'none'));
        $this->post('/courses/petrol/next-run', $said)->assertNotFound();
        self::assertSame(0, NextRun::query()->count());
    }

    public function test_they_are_written_to_once_when_it_runs_and_not_before(): void
    {
        $this->post('/courses/petrol/next-run', ['name' => 'Alva Brekke', 'email' => 'alva@elsewhere.test']);
        $this->actingAs($this->person('hege'))->get('/keep/courses/petrol/run-again')->assertInertia(fn ($page) => $page->where('waiting', 1)->where('runs', false)->where('isRetired', true));
        $this->post('/keep/courses/petrol/run-again/letters')->assertSessionHas('flash.kind', 'refused');
        self::assertSame(0, Message::query()->where('to', 'alva@elsewhere.test')->count());
        $this->reopen();
        $this->post('/keep/courses/petrol/run-again/letters')->assertSessionHas('flash.text', '1 person is being written to.');
        $letter = Message::query()->where('to', 'alva@elsewhere.test')->sole();
        self::assertSame('Petrol engines for small boats runs again', $letter->subject);
        self::assertStringContainsString('/courses/petrol', $letter->body);
        $this->post('/keep/courses/petrol/run-again/letters')->assertSessionHas('flash.text', 'Nobody waits to be told.');
        self::assertSame(1, Message::query()->where('to', 'alva@elsewhere.test')->count());
        self::assertSame(1, Activity::query()->where('action', 'next-run.told')->count());
    }

    public function test_they_are_many_and_come_in_groups_each_once(): void
    {
        $course = $this->course('petrol');
        foreach (array_chunk(range(1, 450), 100) as $some) {
            NextRun::query()->insert(array_map(static fn (int $n): array => ['course_id' => $course->id, 'name' => "Crew {$n}", 'email' => "crew{$n}@elsewhere.test", 'token' => sprintf('%040d', $n), 'asked_at' => '2026-03-01 00:00:00'], $some));
        }
        $this->reopen();
        $tell = app(TellOfNextRun::class);
        self::assertTrue($tell->some($course->refresh()));
        self::assertSame(250, TellOfNextRun::waiting($course));
        // As if the worker had been stopped after its letters went out: nobody gets a second one.
        NextRun::query()->where('email', 'crew1@elsewhere.test')->update(['told_at' => null]);
        while ($tell->some($course));
        self::assertSame(0, TellOfNextRun::waiting($course));
        self::assertSame(450, Message::query()->where('subject', 'like', '% runs again')->count());
    }

    public function test_the_letter_tells_how_to_stop_and_a_button_stops_it(): void
    {
        $this->post('/courses/petrol/next-run', ['name' => 'Alva Brekke', 'email' => 'alva@elsewhere.test']);
        $this->reopen();
        $this->post('/keep/courses/petrol/run-again/letters');
        $letter = [...app(Postbox::class)->letters('alva@elsewhere.test')][0] ?? '';
        self::assertSame(1, preg_match('#https?://[^/\s]+(/next-run/[A-Za-z0-9]{40})#', $letter, $found));
        $stop = $found[1] ?? '';
        $this->post('/sign-out');
        // A program that follows every link of a letter stops nothing.
        $this->get($stop)->assertOk()->assertInertia(fn ($page) => $page->component('learner/Stop')->where('email', 'alva@elsewhere.test'));
        self::assertSame(1, NextRun::query()->count());
        $this->delete($stop)->assertRedirect('/');
        self::assertSame(0, NextRun::query()->count());
        $this->delete($stop)->assertNotFound();
        $this->get($stop)->assertNotFound();
    }

    public function test_who_was_told_can_ask_for_the_run_after(): void
    {
        $this->post('/courses/petrol/next-run', ['name' => 'Alva Brekke', 'email' => 'alva@elsewhere.test']);
        NextRun::query()->update(['told_at' => '2026-03-09 12:00:00']);
        self::assertSame(0, TellOfNextRun::waiting($this->course('petrol')));
        $this->travel(1)->hours();
        $this->post('/courses/petrol/next-run', ['name' => 'Alva Brekke', 'email' => 'alva@elsewhere.test']);
        self::assertSame(1, TellOfNextRun::waiting($this->course('petrol')));
    }
}
