<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Learning\Contents\WriteContent;
use App\Learning\Contents\Written;
use App\Models\Content;
use App\Models\ContentVersion;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

/** What a lesson held before is kept; what it is to hold can go live with the draft of its course. */
final class EarlierContentsTest extends TestCase
{
    use EditsDrafts;

    private const LESSON = '/keep/courses/clinker/contents/l-planes';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /**
     * @param  array<string, mixed>  $with
     * @return TestResponse<Response>
     */
    private function write(string $text, array $with = []): TestResponse
    {
        $content = $this->content();

        return $this->actingAs($this->person('hege'))->put(self::LESSON, ['version' => $content->version, 'drafted' => $content->drafted_version, 'text' => $text, ...$with]);
    }

    private function content(): Content
    {
        return Content::query()->where('item_key', 'l-planes')->sole();
    }

    private function read(string $who = 'eira'): string
    {
        $html = $this->actingAs($this->person($who))->get('/courses/clinker/l-planes')->assertOk()->inertiaProps('html');

        return is_string($html) ? trim(strip_tags($html)) : '';
    }

    public function test_what_was_written_before_is_kept_with_who_and_when(): void
    {
        $this->write('One.');
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->write('Two.');
        $this->get(self::LESSON)->assertInertia(fn (Page $page) => $page->has('open.earlier', 2)->where('open.earlier.0.text', 'One.')->where('open.earlier.0.who', 'Hege Strand')->where('open.earlier.0.until', 'Tue 10 Mar, 14:00')
            ->where('open.earlier.1.who', '')->where('open.earlier.1.text', fn (string $text): bool => str_starts_with($text, 'Flatten the sole')));
    }

    public function test_an_earlier_one_is_brought_back_and_what_was_there_kept(): void
    {
        $this->write('One.', ['quiz' => [['ask' => 'Which?', 'answers' => ['a', 'b'], 'right' => [0]]], 'minutes' => 7]);
        $this->write('Two.');
        $one = ContentVersion::query()->orderByDesc('version')->firstOrFail();
        $this->post(self::LESSON."/earlier/{$one->id}", ['version' => $this->content()->version])->assertSessionHas('flash.kind', 'done');
        self::assertSame(['One.', 'Which?', 7], [$this->content()->text, $this->content()->quiz[0]['ask'], $this->content()->minutes]);
        self::assertSame('One.', $this->read());
        self::assertSame('Two.', ContentVersion::query()->orderByDesc('version')->firstOrFail()->written['text']);
        // Not over what somebody else has written meanwhile, and not from another lesson.
        $this->actingAs($this->person('hege'));
        $this->post(self::LESSON."/earlier/{$one->id}", ['version' => 1])->assertSessionHas('flash.kind', 'refused');
        $this->post("/keep/courses/clinker/contents/l-steam/earlier/{$one->id}", ['version' => 1])->assertNotFound();
        $this->actingAs($this->person('aksel'))->post(self::LESSON."/earlier/{$one->id}", ['version' => $this->content()->version])->assertForbidden();
    }

    public function test_only_so_many_are_kept(): void
    {
        for ($number = 1; $number <= 53; $number++) {
            $content = $this->content();
            app(WriteContent::class)($this->course('clinker'), 'l-planes', new Written("Number {$number}"), $content->version, $this->person('hege'));
        }
        self::assertSame(50, ContentVersion::query()->count());
        self::assertSame('Number 3', ContentVersion::query()->orderBy('version')->firstOrFail()->written['text']);
    }

    public function test_what_is_drafted_is_read_by_nobody_until_the_draft_is_published(): void
    {
        $before = $this->read();
        $this->write('Later.', ['later' => true])->assertSessionHas('flash.kind', 'done');
        self::assertSame($before, $this->read());
        self::assertStringNotContainsString('Later.', (string) $this->actingAs($this->person('eira'))->get('/courses/clinker/l-planes')->getContent());
        $this->actingAs($this->person('hege'))->get(self::LESSON)->assertInertia(fn (Page $page) => $page->where('open.drafted', true)->where('open.text', 'Later.'));
        // Whoever has a quiz open there has not had it changed under their hands.
        self::assertSame(1, $this->content()->version);

        $this->edit(0, 'sample', ['l-steam'], ['value' => 'yes'])->assertSessionHasNoErrors();
        self::assertSame($before, $this->read());
        $this->actingAs($this->person('hege'))->post('/keep/courses/clinker/revisions', ['version' => $this->draft()->version])->assertSessionHasNoErrors();
        self::assertSame('Later.', $this->read());
        self::assertSame([null, 2], [$this->content()->drafted, $this->content()->version]);
        self::assertSame(1, ContentVersion::query()->count());
    }

    public function test_a_publication_that_comes_to_nothing_publishes_no_contents(): void
    {
        $before = $this->read();
        $this->write('Later.', ['later' => true]);
        $this->edit(0, 'sample', ['l-steam'], ['value' => 'yes']);
        $this->actingAs($this->person('hege'))->post('/keep/courses/clinker/revisions', ['version' => 99]);
        self::assertSame($before, $this->read());
        self::assertNotNull($this->content()->drafted);
    }

    public function test_what_is_drafted_is_thrown_away_and_what_is_written_at_once_takes_its_place(): void
    {
        $before = $this->read();
        $this->write('Later.', ['later' => true]);
        $this->actingAs($this->person('hege'))->delete(self::LESSON, ['drafted' => 1])->assertSessionHas('flash.kind', 'done');
        self::assertSame([$before, null], [$this->read(), $this->content()->drafted]);
        $this->write('Later again.', ['later' => true]);
        $this->write('Now.');
        self::assertSame(['Now.', null], [$this->read(), $this->content()->drafted]);
    }

    public function test_two_authors_do_not_overwrite_each_others_drafts(): void
    {
        $this->write('First.', ['later' => true])->assertSessionHas('flash.kind', 'done');
        $this->write('Second.', ['later' => true, 'drafted' => 0])->assertSessionHas('flash.kind', 'refused');
        $this->delete(self::LESSON, ['drafted' => 0])->assertSessionHas('flash.kind', 'refused');
        self::assertSame('First.', $this->content()->drafted['text'] ?? null);
        // Of a lesson in which nothing was written yet.
        Content::query()->where('item_key', 'l-planes')->delete();
        $this->put(self::LESSON, ['version' => 0, 'drafted' => 0, 'text' => 'New.', 'later' => true])->assertSessionHas('flash.kind', 'done');
        self::assertSame([0, ''], [$this->content()->version, $this->content()->text]);
        $this->put(self::LESSON, ['version' => 0, 'drafted' => 1, 'text' => 'Live.'])->assertSessionHas('flash.kind', 'done');
        self::assertSame([1, 'Live.', 0], [$this->content()->version, $this->content()->text, ContentVersion::query()->count()]);
    }
}
