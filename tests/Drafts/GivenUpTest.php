<?php

declare(strict_types=1);

namespace Tests\Drafts;

use App\Console\CleanUp;
use App\Models\Content;
use App\Models\Draft;
use App\Models\GivenUp;
use Illuminate\Support\Carbon;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/** What was tried in a draft and given up is kept for a day, and can be the draft again. */
final class GivenUpTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    private function discard(): void
    {
        $this->delete('/keep/courses/clinker/draft', ['version' => $this->draft()->version])->assertSessionHas('flash.kind', 'done');
    }

    private function bringBack(int $version = 0): mixed
    {
        $this->post('/keep/courses/clinker/draft/given-up/'.(GivenUp::query()->max('id') ?? 0), ['version' => $version]);

        return session('flash')['kind'] ?? null;
    }

    /** @phpstan-impure */
    private function drafted(): ?string
    {
        return Content::query()->where('item_key', 'l-planes')->sole()->drafted['text'] ?? null;
    }

    private function days(): mixed
    {
        return Draft::query()->exists() ? json_decode($this->draft()->document)->course->plans->weekly->{'m-tools'}->opens->days ?? null : null;
    }

    public function test_a_draft_that_was_thrown_away_is_brought_back_with_what_lessons_were_to_hold(): void
    {
        $this->openAfter(0, 'm-tools', 10);
        $this->put('/keep/courses/clinker/contents/l-planes', ['version' => 1, 'text' => 'Flat on glass.', 'quiz' => [], 'later' => true, 'drafted' => 0])->assertSessionHasNoErrors();
        self::assertSame('Flat on glass.', $this->drafted());
        $document = $this->draft()->document;
        $this->discard();
        self::assertNull($this->drafted());

        $this->get('/keep/courses/clinker/revisions')->assertInertia(fn (Page $page) => $page
            ->has('givenUp', 1)->where('givenUp.0.fits', true)->has('givenUp.0.changes', 2));
        self::assertSame('done', $this->bringBack());
        self::assertSame([$document, 'Flat on glass.', 0], [$this->draft()->document, $this->drafted(), GivenUp::query()->count()]);
        // One edit, that can be undone.
        $this->post('/keep/courses/clinker/draft/undo', ['version' => $this->draft()->version]);
        self::assertNotSame(10, $this->days());
    }

    public function test_the_note_that_says_it_is_gone_takes_it_back(): void
    {
        $this->openAfter(0, 'm-tools', 10);
        $this->discard();
        $again = session('flash')['again'] ?? null;
        self::assertIsString($again);
        $this->post($again)->assertRedirect('/keep/courses/clinker');
        self::assertSame(10, $this->days());
        $this->post($again, ['version' => $this->draft()->version]);
        self::assertStringContainsString('not kept any more', session('flash')['text']);
    }

    public function test_contents_alone_come_back(): void
    {
        $this->put('/keep/courses/clinker/contents/l-planes', ['version' => 1, 'text' => 'Flat on glass.', 'quiz' => [], 'later' => true, 'drafted' => 0]);
        $this->discard();
        self::assertSame('done', $this->bringBack());
        self::assertSame(['Flat on glass.', true], [$this->drafted(), Draft::query()->exists()]);
    }

    public function test_what_was_undone_before_something_else_was_set_is_kept_as_far_as_it_went(): void
    {
        $this->openAfter(0, 'm-tools', 10);
        $this->openAfter(1, 'm-tools', 11);
        foreach ([2, 3] as $version) {
            $this->post('/keep/courses/clinker/draft/undo', ['version' => $version]);
        }
        self::assertSame(0, GivenUp::query()->count());
        $this->openAfter(4, 'm-tools', 3);
        $this->get('/keep/courses/clinker/rehearsal')->assertInertia(fn (Page $page) => $page->has('givenUp', 1)->where('givenUp.0.words', fn (string $words): bool => str_starts_with($words, 'Undone, and something else set')));
        self::assertSame('done', $this->bringBack($this->draft()->version));
        self::assertSame(11, $this->days());
    }

    public function test_nothing_is_kept_of_what_changed_nothing(): void
    {
        $this->openAfter(0, 'm-tools', 10);
        $this->edit(1, 'opens', ['m-tools'], ['plan' => 'weekly', 'rule' => 'after_start', 'days' => 7, 'time' => '09:00']);
        $this->discard();
        self::assertSame([0, null], [GivenUp::query()->count(), session('flash')['again']]);
    }

    public function test_it_does_not_come_back_over_what_was_published_since(): void
    {
        $this->openAfter(0, 'm-tools', 10);
        $this->discard();
        $this->openAfter(0, 'm-tools', 3);
        $this->post('/keep/courses/clinker/revisions', ['version' => $this->draft()->version, 'receipt' => $this->get('/keep/courses/clinker/rehearsal')->inertiaProps('receipt')])->assertSessionHasNoErrors();
        self::assertFalse(Draft::query()->exists());
        $this->get('/keep/courses/clinker/revisions')->assertInertia(fn (Page $page) => $page->has('givenUp', 1)->where('givenUp.0.fits', false));
        self::assertSame(['refused', false], [$this->bringBack(), Draft::query()->exists()]);
        self::assertSame(1, GivenUp::query()->count());
    }

    public function test_it_takes_the_place_of_what_waits_only_where_that_was_seen(): void
    {
        $this->openAfter(0, 'm-tools', 10);
        $this->discard();
        $this->actingAs($this->secondAdministrator())->openAfter(0, 'm-tools', 3);
        $version = $this->draft()->version;
        self::assertSame(['collision', 3], [$this->actingAs($this->person('hege'))->bringBack(), $this->days()]);
        self::assertSame(['done', 10], [$this->bringBack($version), $this->days()]);
    }

    public function test_it_is_kept_for_a_day_and_of_a_course_the_last_twenty(): void
    {
        for ($days = 1; $days <= 25; $days++) {
            $this->openAfter(0, 'm-tools', 10 + $days);
            $this->discard();
        }
        self::assertSame(20, GivenUp::query()->count());
        Carbon::setTestNow(Carbon::now()->addHours(25));
        $this->get('/keep/courses/clinker/revisions')->assertInertia(fn (Page $page) => $page->has('givenUp', 0));
        self::assertSame('refused', $this->bringBack());
        app(CleanUp::class)();
        self::assertSame(0, GivenUp::query()->count());
    }

    /** Its draft was all that there was of it: every page of it failed. */
    public function test_a_course_that_was_never_published_is_again_as_it_was_made(): void
    {
        $this->edited = 'caulking';
        $this->post('/keep/courses', ['title' => 'Caulking']);
        $made = $this->draft()->document;
        $this->delete('/keep/courses/caulking/draft', ['version' => $this->draft()->version])->assertSessionHas('flash.kind', 'refused');
        $this->outline($this->draft()->version, ['do' => 'add', 'titles' => 'Oakum', 'kind' => 'lesson'])->assertSessionHasNoErrors();
        $full = $this->draft()->document;
        self::assertNotSame($made, $full);
        $this->delete('/keep/courses/caulking/draft', ['version' => $this->draft()->version])->assertSessionHas('flash.kind', 'done');
        $again = session('flash')['again'] ?? null;
        self::assertIsString($again);
        self::assertSame([$made, 0], [$this->draft()->document, $this->draft()->edits()->count()]);
        $this->get('/keep/courses/caulking')->assertOk();
        $this->post($again)->assertSessionHas('flash.kind', 'done');
        self::assertSame($full, $this->draft()->document);
        $this->get('/keep/courses/caulking')->assertOk();
    }

    public function test_of_another_course_and_of_assistants_nothing_comes_back(): void
    {
        $this->openAfter(0, 'm-tools', 10);
        $this->discard();
        $this->post('/keep/courses/oars/draft/given-up/'.GivenUp::query()->sole()->id, ['version' => 0]);
        self::assertSame('refused', session('flash')['kind']);
        $this->actingAs($this->person('aksel'))->post('/keep/courses/clinker/draft/given-up/'.GivenUp::query()->sole()->id, ['version' => 0])->assertForbidden();
        self::assertFalse(Draft::query()->exists());
    }
}
