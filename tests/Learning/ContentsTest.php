<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\Activity;
use App\Models\Content;
use App\Models\Medium;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** What administrators write into lessons, and put there. */
final class ContentsTest extends TestCase
{
    private const LESSON = '/keep/courses/clinker/contents/l-planes';

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /**
     * @param  array<string, mixed>  $changes
     * @return TestResponse<Response>
     */
    private function write(array $changes, string $address = self::LESSON): TestResponse
    {
        return $this->from($address)->put($address, ['version' => 1, 'text' => 'New words.', 'quiz' => [], ...$changes]);
    }

    /** @return TestResponse<Response> */
    private function upload(UploadedFile $file, ?float $seconds = null, string $title = 'A title'): TestResponse
    {
        return $this->from(self::LESSON)->post(self::LESSON.'/media', ['file' => $file, 'title' => $title, 'seconds' => $seconds]);
    }

    private static function clip(string $name = 'riveting.webm'): string
    {
        return (string) file_get_contents(database_path("demo/media/{$name}"));
    }

    public function test_the_page_says_what_each_item_holds(): void
    {
        $this->get('/keep/courses/clinker/contents')->assertOk()->assertInertia(fn (Page $page) => $page
            ->component('keep/Contents')->where('open', null)->where('items.3.key', 'l-welcome')->where('items.3.holds', 'text, 1 recording, 1 picture, 1 file')
            ->where('face.about', fn (string $about): bool => str_starts_with($about, 'Hang three strakes')));
        $this->get('/keep/courses/clinker/contents/l-timber')->assertOk()->assertInertia(fn (Page $page) => $page->where('open.quiz.0.right', [1])->where('open.missing', null));
        $this->get('/keep/courses/clinker/contents/nothing')->assertNotFound();
    }

    public function test_what_is_written_is_read_at_once(): void
    {
        $this->write(['text' => 'Hone it *twice*.'])->assertRedirect(self::LESSON)->assertSessionHas('flash.kind', 'done');
        $this->actingAs($this->person('eira'))->get('/courses/clinker/l-planes')->assertInertia(fn (Page $page) => $page->where('html', "<p>Hone it <em>twice</em>.</p>\n"));
        self::assertSame('content.changed', Activity::query()->latest('id')->firstOrFail()->action);
    }

    public function test_two_authors_do_not_overwrite_each_other(): void
    {
        $this->write(['text' => 'First.']);
        $this->write(['text' => 'Second.'])->assertSessionHas('flash.kind', 'refused');
        self::assertSame('First.', Content::query()->where('item_key', 'l-planes')->firstOrFail()->text);
    }

    public function test_an_item_without_any_words_gets_its_first(): void
    {
        Content::query()->where('item_key', 'l-planes')->delete();
        $this->write(['version' => 0]);
        $this->write(['version' => 0, 'text' => 'Others.'])->assertSessionHas('flash.kind', 'refused');
        self::assertSame('New words.', Content::query()->where('item_key', 'l-planes')->firstOrFail()->text);
    }

    /** @param  list<array<string, mixed>>  $quiz */
    #[DataProvider('quizzes')]
    public function test_a_quiz_that_cannot_be_is_refused_at_its_field(array $quiz, string $field): void
    {
        $this->write(['quiz' => $quiz])->assertSessionHasErrors($field);
        self::assertSame([], Content::query()->where('item_key', 'l-planes')->firstOrFail()->quiz);
    }

    /** @return array<string, array{list<array<string, mixed>>, string}> */
    public static function quizzes(): array
    {
        $question = ['ask' => 'Which?', 'answers' => ['This', 'That'], 'right' => [0]];

        return [
            'no question' => [[['ask' => ''] + $question], 'quiz.0.ask'],
            'one answer' => [[['answers' => ['This']] + $question], 'quiz.0.answers'],
            'an empty answer' => [[['answers' => ['This', '']] + $question], 'quiz.0.answers.1'],
            'the same answer twice' => [[['answers' => ['This', 'This']] + $question], 'quiz.0.answers'],
            'none is right' => [[$question, ['right' => []] + $question], 'quiz.1.right'],
            'one is right that is not there' => [[['right' => [2]] + $question], 'quiz.0.right'],
        ];
    }

    public function test_a_quiz_is_asked_as_it_was_written(): void
    {
        $this->write(['quiz' => [['ask' => 'Which?', 'answers' => ['This', 'That'], 'right' => [1, 0]]]])->assertSessionHasNoErrors();
        $this->actingAs($this->person('eira'))->get('/courses/clinker/l-planes')->assertInertia(fn (Page $page) => $page->where('quiz.questions.0.answers', ['This', 'That'])->where('quiz.questions.0.several', true)->where('quiz.needed', null));
    }

    public function test_a_board_changes_what_it_is_for(): void
    {
        $this->write(['board' => 'discussion', 'text' => ''], '/keep/courses/clinker/contents/b-news')->assertSessionHasNoErrors();
        $this->write(['board' => 'casino'], '/keep/courses/clinker/contents/b-marks')->assertSessionHasErrors('board');
        $this->actingAs($this->person('eira'))->get('/courses/clinker/b-news')->assertInertia(fn (Page $page) => $page->where('board', 'discussion'));
    }

    public function test_files_are_taken_for_what_is_in_them(): void
    {
        $this->upload(UploadedFile::fake()->createWithContent('clip.txt', self::clip()), 12.0)->assertSessionHasNoErrors();
        $this->upload(UploadedFile::fake()->createWithContent('picture.png', '<html><script>alert(1)</script></html>'))->assertSessionHasNoErrors();
        $this->upload(UploadedFile::fake()->createWithContent('drawing.svg', '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'))->assertSessionHasNoErrors();
        $this->upload(UploadedFile::fake()->createWithContent('../../evil.php', '<?php echo 1;'))->assertSessionHasNoErrors();
        $media = Medium::query()->where('item_key', 'l-planes')->orderBy('id')->get();

        self::assertSame(['video', 'file', 'file', 'file'], $media->pluck('kind')->all());
        self::assertSame(['video/webm', 'application/octet-stream', 'application/octet-stream', 'application/octet-stream'], $media->pluck('type')->all());
        self::assertSame(12.0, $media[0]?->seconds);
        foreach ($media as $medium) {
            self::assertMatchesRegularExpression('~^media/[0-9a-z]{26}$~', $medium->path);
            Storage::assertExists($medium->path);
        }
        $this->actingAs($this->person('eira'))->get('/courses/clinker/l-planes')->assertInertia(function (Page $page): void {
            $address = $page->toArray()['props']['media'][1]['href'];
            $answer = $this->get($address)->assertOk()->assertHeader('Content-Type', 'application/octet-stream')->assertHeader('X-Content-Type-Options', 'nosniff');
            self::assertStringStartsWith('attachment', (string) $answer->headers->get('Content-Disposition'));
        });
    }

    public function test_a_video_without_a_length_is_refused(): void
    {
        $this->upload(UploadedFile::fake()->createWithContent('clip.webm', self::clip()))->assertSessionHasErrors('file');
        $this->upload(UploadedFile::fake()->createWithContent('clip.webm', self::clip()), -1)->assertSessionHasErrors('seconds');
        $this->upload(UploadedFile::fake()->createWithContent('notes.txt', 'Notes.'), null, '')->assertSessionHasErrors('title');
        self::assertSame(0, Medium::query()->where('item_key', 'l-planes')->count());
        self::assertSame([], array_filter(Storage::files('media'), static fn (string $path): bool => ! str_starts_with($path, 'media/demo')));
    }

    public function test_media_change_places_and_are_taken_out_with_their_files(): void
    {
        foreach (['One', 'Two', 'Three'] as $title) {
            $this->upload(UploadedFile::fake()->createWithContent('notes.txt', $title), null, $title);
        }
        $third = Medium::query()->where('title', 'Three')->firstOrFail();
        $this->put(self::LESSON."/media/{$third->id}", ['up' => true])->assertRedirect();
        $this->put(self::LESSON.'/media/'.Medium::query()->where('title', 'One')->firstOrFail()->id, ['up' => true]);
        self::assertSame(['One', 'Three', 'Two'], Medium::query()->where('item_key', 'l-planes')->orderBy('position')->pluck('title')->all());
        $this->delete(self::LESSON."/media/{$third->id}")->assertRedirect();
        Storage::assertMissing($third->path);
        $this->delete(self::LESSON."/media/{$third->id}")->assertNotFound();
        $this->delete('/keep/courses/sails/contents/l-planes/media/'.Medium::query()->where('title', 'One')->firstOrFail()->id)->assertNotFound();
    }

    public function test_the_preview_is_as_safe_as_the_page(): void
    {
        $this->postJson('/keep/text-preview', ['text' => '**a** <script>alert(1)</script>'])->assertOk()->assertJson(['html' => "<p><strong>a</strong> alert(1)</p>\n"]);
    }

    public function test_assistants_read_and_change_nothing(): void
    {
        $this->actingAs($this->person('aksel'))->get(self::LESSON)->assertOk()->assertInertia(fn (Page $page) => $page->where('mayEdit', false));
        $this->write([])->assertForbidden();
        $this->upload(UploadedFile::fake()->createWithContent('notes.txt', 'Notes.'))->assertForbidden();
        $this->put('/keep/courses/clinker/face', ['version' => 1, 'focusX' => 50, 'focusY' => 50])->assertForbidden();
        $this->delete(self::LESSON.'/media/1')->assertForbidden();
    }

    public function test_an_item_of_the_draft_is_written_before_it_is_published(): void
    {
        $this->get('/keep/courses/oars/contents/l-spruce')->assertOk()->assertInertia(fn (Page $page) => $page->where('open.version', 0));
        $this->write(['version' => 0], '/keep/courses/oars/contents/l-spruce')->assertSessionHas('flash.kind', 'done');
        $this->actingAs($this->person('eira'))->get('/courses/oars/l-spruce')->assertNotFound();
    }

    public function test_the_place_of_a_picture_is_kept_while_it_comes(): void
    {
        Medium::query()->where('item_key', 'l-planes')->delete();
        $this->upload(UploadedFile::fake()->image('one.png', 320, 180), title: 'One')->assertSessionHasNoErrors();
        $this->upload(UploadedFile::fake()->image('two.png', 32, 18), title: 'Two')->assertSessionHasNoErrors();
        $page = (string) $this->actingAs($this->person('eira'))->get('/courses/clinker/l-planes')->assertOk()->getContent();
        self::assertMatchesRegularExpression('/alt="One"\\s+width="320" height="180"\s*>/', $page);
        self::assertMatchesRegularExpression('/alt="Two"\\s+width="32" height="18"\\s+loading="lazy"\\s*>/', $page);
    }
}
