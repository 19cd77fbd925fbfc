<?php

declare(strict_types=1);

namespace Tests\Front;

use App\Models\Activity;
use App\Models\CourseFace;
use App\Models\Picture;
use App\Models\School;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What a course shows of itself is written by its administrators. */
final class FaceTest extends TestCase
{
    private const GIVEN = ['version' => 1, 'sentence' => 'Three strakes.', 'about' => 'More.', 'subject' => 'Boats', 'outcomes' => "- Plane\n\n• Steam\nPlane\n", 'questions' => [['ask' => 'When?', 'answer' => 'On *Mondays*.']], 'cover' => '', 'focusX' => 40, 'focusY' => 60, 'drawing' => 'waves', 'contactName' => 'Aksel Vik', 'contactEmail' => 'aksel@alder.test'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /**
     * @param  array<string, mixed>  $changes
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function save(array $changes = []): TestResponse
    {
        return $this->put('/keep/courses/clinker/face', [...self::GIVEN, ...$changes]);
    }

    public function test_what_is_written_stands_on_the_card_and_on_the_page_at_once(): void
    {
        $this->save()->assertSessionHas('flash.kind', 'done');
        $this->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('face.sentence', 'Three strakes.')->where('face.outcomes', ['Plane', 'Steam'])
            ->where('face.questions.0.html', "<p>On <em>Mondays</em>.</p>\n")->where('face.contactName', 'Aksel Vik')->where('face.cover.address', fn (string $address): bool => str_starts_with($address, '/covers/waves-')));
        $this->get('/')->assertInertia(fn (Page $page) => $page->where('courses.0.sentence', 'Three strakes.')->where('courses.0.subject', 'Boats')->where('subjects.0', 'Boats'));
        self::assertSame('course.face-changed', Activity::query()->latest('id')->firstOrFail()->action);
        $this->get('/keep/courses/clinker/contents')->assertInertia(fn (Page $page) => $page->where('face.version', 2)->where('face.outcomes', "Plane\nSteam")->where('face.drawings.0.label', 'Its own'));
    }

    public function test_two_authors_do_not_overwrite_each_other(): void
    {
        $this->save(['sentence' => 'First.'])->assertSessionHas('flash.kind', 'done');
        $this->save(['sentence' => 'Second.'])->assertSessionHas('flash.kind', 'refused');
        $this->save(['sentence' => 'Third.', 'version' => 2])->assertSessionHas('flash.kind', 'done');
        self::assertSame('Third.', CourseFace::query()->findOrFail($this->course('clinker')->id)->sentence);
        // The first words that a course gets, twice at once.
        CourseFace::query()->delete();
        $this->save(['version' => 0])->assertSessionHas('flash.kind', 'done');
        $this->save(['version' => 0, 'sentence' => 'Late.'])->assertSessionHas('flash.kind', 'refused');
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'more than a sentence' => [['sentence' => str_repeat('a', 201)], 'sentence'];
        yield 'too many outcomes' => [['outcomes' => implode("\n", array_map(static fn (int $n): string => "One {$n}", range(1, 13)))], 'outcomes'];
        yield 'a question without an answer' => [['questions' => [['ask' => 'When?', 'answer' => ' ']]], 'questions.0.answer'];
        yield 'an answer to nothing' => [['questions' => [['answer' => 'On Mondays.']]], 'questions.0.ask'];
        yield 'a picture that is not there' => [['cover' => str_repeat('x', 24)], 'cover'];
        yield 'a view outside the picture' => [['focusX' => 101], 'focusX'];
        yield 'a drawing that nobody has drawn' => [['drawing' => 'engines'], 'drawing'];
        yield 'somebody without an address' => [['contactEmail' => ''], 'contactEmail'];
        yield 'an address without anybody' => [['contactName' => ''], 'contactName'];
        yield 'no address' => [['contactEmail' => 'aksel'], 'contactEmail'];
        yield 'questions that are no list' => [['questions' => 'all of them'], 'questions'];
    }

    /** @param  array<string, mixed>  $changes */
    #[DataProvider('refused')]
    public function test_what_cannot_be_is_refused_at_its_field(array $changes, string $field): void
    {
        $this->save($changes)->assertSessionHasErrors($field);
        self::assertSame(1, CourseFace::query()->findOrFail($this->course('clinker')->id)->version);
    }

    public function test_nothing_in_it_does_anything_on_the_page(): void
    {
        $this->save(['about' => '<script>alert(1)</script>**x**', 'questions' => [['ask' => '<b>?</b>', 'answer' => '<img src=x onerror=alert(1)>[a](javascript:alert(1))']]]);
        auth()->logout();
        $html = (string) $this->get('/courses/clinker')->getContent();
        self::assertStringNotContainsString('<script>alert', $html);
        self::assertStringNotContainsString('onerror', $html);
        self::assertStringNotContainsString('javascript:alert', $html);
        self::assertStringContainsString('&lt;b&gt;?&lt;/b&gt;', $html);
    }

    public function test_assistants_read_it_and_change_nothing(): void
    {
        $this->actingAs($this->person('aksel'));
        $this->save()->assertForbidden();
        $this->put('/keep/school/front', ['title' => 'Mine', 'text' => '', 'picture' => '', 'focusX' => 50, 'focusY' => 50])->assertForbidden();
        $this->get('/keep/courses/clinker/contents')->assertOk()->assertInertia(fn (Page $page) => $page->where('mayEdit', false)->where('face.subject', 'Hull'));
    }

    public function test_the_front_has_its_own_words_and_picture(): void
    {
        Picture::query()->create(['token' => str_repeat('p', 24), 'title' => 'The slip', 'width' => 960, 'height' => 640, 'widths' => [480, 960], 'bytes' => 1, 'made_at' => now()]);
        $this->put('/keep/school/front', ['title' => ' Boats ', 'text' => 'Come in.', 'picture' => str_repeat('p', 24), 'focusX' => 10, 'focusY' => 90])->assertSessionHas('flash.kind', 'done');
        self::assertSame('Boats', School::query()->value('front_title'));
        $this->inAnotherProcess();
        $this->get('/')->assertInertia(fn (Page $page) => $page->where('heading', 'Boats')->where('picture.alt', 'The slip')->where('picture.focus', '10% 90%'));
        $this->put('/keep/school/front', ['title' => str_repeat('a', 121), 'text' => str_repeat('a', 601), 'picture' => 'nothing', 'focusX' => -1, 'focusY' => ''])->assertSessionHasErrors(['title', 'text', 'picture', 'focusX', 'focusY']);
    }
}
