<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\BoardPost;
use App\Models\Content;
use Illuminate\Support\Carbon;
use Inertia\Testing\AssertableInertia as Page;
use Tests\Factories\ObserverTieFactory;
use Tests\Factories\QuizTryFactory;
use Tests\TestCase;

final class BoardsTest extends TestCase
{
    private const BENCH = '/courses/steam-frames/b-bench';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_announcements_are_read(): void
    {
        $this->actingAs($this->person('eira'))->get('/courses/clinker/b-news')->assertOk()->assertInertia(fn (Page $page) => $page
            ->component('learner/Board')->where('board', 'announcements')->where('html', fn (string $html): bool => str_contains($html, 'seven in the morning'))->where('posts', []));
    }

    public function test_marks_are_ones_own(): void
    {
        QuizTryFactory::new()->of($this->person('ragna'))->at($this->course(), 'l-timber')->createOne();
        $this->actingAs($this->person('ragna'))->get('/courses/clinker/b-marks')->assertOk()->assertInertia(fn (Page $page) => $page
            ->where('board', 'marks')->where('marks.0.title', 'Welcome to the shed')->where('marks.0.finished', 'Wed 18 Feb')->where('marks.2.score', 100)->where('marks.2.key', 'l-timber'));
        $this->actingAs($this->person('sunniva'))->get('/courses/clinker/b-marks')->assertInertia(fn (Page $page) => $page->where('marks.0.finished', null)->where('marks.2.score', null));
    }

    public function test_an_observer_sees_the_marks_of_the_learner(): void
    {
        ObserverTieFactory::new()->between($this->person('jonas'), $this->person('ragna'))->createOne();
        Content::query()->where('item_key', 'b-bench')->update(['board' => 'marks']);
        ObserverTieFactory::new()->between($this->person('jonas'), $this->person('ask'))->createOne();
        $this->actingAs($this->person('jonas'))->post('/look-with', ['learner' => $this->person('ask')->id]);
        $this->get(self::BENCH)->assertOk()->assertInertia(fn (Page $page) => $page->where('marks.0.finished', fn (?string $at): bool => $at !== null));
    }

    public function test_a_board_nobody_may_see_is_closed(): void
    {
        $this->get(self::BENCH)->assertUnauthorized()->assertDontSee('green oak this side');
        $this->actingAs($this->person('eira'))->get(self::BENCH)->assertForbidden()->assertDontSee('green oak this side');
        $this->post(self::BENCH.'/posts', ['text' => 'Hello'])->assertForbidden();
    }

    public function test_learners_talk_to_each_other(): void
    {
        $this->actingAs($this->person('oda'))->from(self::BENCH)->post(self::BENCH.'/posts', ['text' => ' <b>Mine</b> split. ', 'once' => 'one'])->assertRedirect(self::BENCH);
        $this->post(self::BENCH.'/posts', ['text' => '<b>Mine</b> split.', 'once' => 'one']);

        self::assertSame(6, BoardPost::query()->count());
        $this->actingAs($this->person('ask'))->get(self::BENCH)->assertInertia(fn (Page $page) => $page
            ->has('posts', 6)->where('posts.5.who', 'Oda Lien')->where('posts.5.text', '<b>Mine</b> split.')->where('posts.5.mine', false)->where('posts.0.mine', true)->where('canPost', true));
    }

    public function test_empty_and_endless_posts_are_refused_at_the_field(): void
    {
        $this->actingAs($this->person('oda'));
        $this->post(self::BENCH.'/posts', ['text' => '  '])->assertSessionHasErrors(['text' => 'Please write something first.']);
        $this->post(self::BENCH.'/posts', ['text' => str_repeat('a', 5001)])->assertSessionHasErrors('text');
        self::assertSame(5, BoardPost::query()->count());
    }

    public function test_one_takes_back_ones_own_and_staff_any(): void
    {
        $theirs = BoardPost::query()->where('person_id', $this->person('mathea')->id)->firstOrFail();
        $this->actingAs($this->person('oda'))->delete(self::BENCH."/posts/{$theirs->id}")->assertNotFound();
        $this->actingAs($this->person('mathea'))->delete(self::BENCH."/posts/{$theirs->id}")->assertRedirect();
        $this->delete(self::BENCH."/posts/{$theirs->id}")->assertNotFound();
        $this->actingAs($this->person('hege'))->delete(self::BENCH.'/posts/'.BoardPost::query()->firstOrFail()->id)->assertRedirect();
        self::assertSame([4, 1], [BoardPost::query()->count(), BoardPost::query()->whereNotNull('taken_back_at')->count()]);
    }

    /** @return list<array{string, bool, bool}> what stands on the board: the words, whether they answer something, whether they were taken back */
    private function board(string $who): array
    {
        $posts = $this->actingAs($this->person($who))->get(self::BENCH)->assertOk()->inertiaProps('posts');
        $board = [];
        foreach (is_array($posts) ? $posts : [] as $post) {
            self::assertIsArray($post);
            $board[] = [(string) $post['text'], (bool) $post['answer'], (bool) $post['taken']];
        }

        return $board;
    }

    public function test_an_answer_stands_beneath_what_it_answers(): void
    {
        BoardPost::query()->delete();
        $this->actingAs($this->person('ask'))->post(self::BENCH.'/posts', ['text' => 'First']);
        $this->post(self::BENCH.'/posts', ['text' => 'Second']);
        $first = BoardPost::query()->where('text', 'First')->sole()->id;
        $this->actingAs($this->person('mathea'))->post(self::BENCH.'/posts', ['text' => 'To the first', 'answers' => $first])->assertSessionHasNoErrors();
        // An answer to an answer stands in the same row of them.
        $this->post(self::BENCH.'/posts', ['text' => 'To the answer', 'answers' => BoardPost::query()->where('text', 'To the first')->sole()->id]);
        self::assertSame([['First', false, false], ['To the first', true, false], ['To the answer', true, false], ['Second', false, false]], $this->board('oda'));
        // What is on another board, or nowhere, is not answered.
        $this->post(self::BENCH.'/posts', ['text' => 'To nothing', 'answers' => 99999])->assertSessionHas('flash.kind', 'refused');
        $this->post(self::BENCH.'/posts', ['text' => 'To words', 'answers' => 'first'])->assertSessionHasErrors('answers');
        self::assertSame(4, BoardPost::query()->count());
    }

    public function test_what_others_have_answered_leaves_its_place(): void
    {
        BoardPost::query()->delete();
        $this->actingAs($this->person('ask'))->post(self::BENCH.'/posts', ['text' => 'A secret']);
        $first = BoardPost::query()->sole();
        $this->actingAs($this->person('mathea'))->post(self::BENCH.'/posts', ['text' => 'I see', 'answers' => $first->id]);
        $this->actingAs($this->person('ask'))->delete(self::BENCH."/posts/{$first->id}")->assertRedirect();
        self::assertSame([['This was taken back.', false, true], ['I see', true, false]], $this->board('ask'));
        self::assertSame('', $first->refresh()->text);
        // Once: what is gone is not taken back, changed or brought back.
        $this->delete(self::BENCH."/posts/{$first->id}")->assertNotFound();
        $this->put(self::BENCH."/posts/{$first->id}", ['text' => 'Again'])->assertNotFound();
    }

    public function test_for_half_an_hour_one_changes_what_one_said(): void
    {
        BoardPost::query()->delete();
        $this->actingAs($this->person('ask'))->post(self::BENCH.'/posts', ['text' => 'Gren oak']);
        $post = BoardPost::query()->sole();
        $address = self::BENCH."/posts/{$post->id}";
        $this->put($address, ['text' => ''])->assertSessionHasErrors('text');
        Carbon::setTestNow('2026-03-10T12:29:59Z');
        $this->put($address, ['text' => 'Green oak'])->assertSessionHasNoErrors();
        self::assertSame(['Green oak', true, true], array_values(array_intersect_key($this->get(self::BENCH)->inertiaProps('posts')[0], ['text' => 1, 'changed' => 1, 'mayChange' => 1])));
        // Others, whoever runs the school among them, change nothing that somebody else has said.
        foreach (['mathea', 'hege'] as $other) {
            $this->actingAs($this->person($other))->put($address, ['text' => 'Red oak'])->assertNotFound();
        }
        Carbon::setTestNow('2026-03-10T12:30:00Z');
        $this->actingAs($this->person('ask'))->put($address, ['text' => 'Old oak'])->assertSessionHas('flash.kind', 'refused');
        self::assertSame(['Green oak', false], [$post->refresh()->text, $this->get(self::BENCH)->inertiaProps('posts')[0]['mayChange']]);
    }

    public function test_only_a_discussion_takes_posts(): void
    {
        $this->actingAs($this->person('eira'))->post('/courses/clinker/b-news/posts', ['text' => 'Hello'])->assertNotFound();
        $this->post('/courses/clinker/l-planes/posts', ['text' => 'Hello'])->assertNotFound();
    }

    public function test_an_observer_reads_and_says_nothing(): void
    {
        ObserverTieFactory::new()->between($this->person('jonas'), $this->person('ask'))->createOne();
        $this->actingAs($this->person('jonas'))->post('/look-with', ['learner' => $this->person('ask')->id]);
        $this->get(self::BENCH)->assertOk()->assertInertia(fn (Page $page) => $page->where('canPost', false)->has('posts', 5));
        $this->post(self::BENCH.'/posts', ['text' => 'Hello'])->assertForbidden();
    }

    public function test_a_calendar_board_tells_the_dates_to_come(): void
    {
        $this->actingAs($this->person('embla'))->get('/courses/winter-refit/b-dates')->assertOk()->assertInertia(fn (Page $page) => $page
            ->where('board', 'calendar')->where('calendar', null)->where('canSubscribe', true)
            ->where('dates.0.title', 'Paint and launch')->where('dates.0.opens', true)->where('dates.1.title', 'My dates')->where('dates.1.opens', false)->has('dates', 4));
    }

    public function test_the_private_link_gives_ones_own_dates_and_dies_when_changed(): void
    {
        $this->actingAs($this->person('embla'))->post('/calendar-link')->assertRedirect();
        $first = (string) $this->person('embla')->calendar_token;
        $this->post('/sign-out');
        $file = (string) $this->get("/calendar/{$first}.ics")->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent();

        self::assertStringContainsString('SUMMARY:Winter refit: Paint and launch opens', str_replace("\r\n ", '', $file));
        self::assertStringNotContainsString('Clinker', $file);
        $this->actingAs($this->person('embla'))->post('/calendar-link');
        $this->get("/calendar/{$first}.ics")->assertNotFound();
        $this->get('/calendar/'.$this->person('embla')->calendar_token.'.ics')->assertOk();
        $this->get('/calendar/'.str_repeat('a', 40).'.ics')->assertNotFound();
        $this->post('/sign-out');
        $this->post('/calendar-link')->assertRedirect('/sign-in');
    }

    public function test_the_calendar_names_nothing_that_is_hidden(): void
    {
        $this->actingAs($this->person('eira'))->post('/calendar-link');
        $file = str_replace("\r\n ", '', (string) $this->get('/calendar/'.$this->person('eira')->calendar_token.'.ics')->getContent());
        self::assertStringContainsString('opens', $file);
        self::assertStringNotContainsString('oars', $file);
        self::assertStringNotContainsString('skiff', $file);
    }

    public function test_dates_are_told_to_programs_as_well(): void
    {
        $page = (string) $this->actingAs($this->person('embla'))->get('/courses/winter-refit/b-dates')->assertOk()->getContent();
        self::assertGreaterThan(0, preg_match_all('~<time datetime="(\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}Z)">[^<]+</time>~', $page));
        self::assertSame(0, preg_match_all('~<time>~', $page), 'Of a time in words programs know nothing.');
    }
}
