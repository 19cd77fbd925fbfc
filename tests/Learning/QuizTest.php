<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Learning\Quizzes\TryQuiz;
use App\Models\Completion;
use App\Models\Content;
use App\Models\QuizTry;
use Illuminate\Support\Collection;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Choosing larch asks three questions, of which seven tenths are to be right: all three. */
final class QuizTest extends TestCase
{
    private const LESSON = '/courses/clinker/l-timber';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('eira'))->post('/courses/clinker/l-planes/finished');
    }

    /**
     * @param  list<list<int>>  $answers
     * @return TestResponse<Response>
     */
    private function answer(array $answers, int $version = 1): TestResponse
    {
        return $this->from(self::LESSON)->post(self::LESSON.'/quiz', ['version' => $version, 'answers' => $answers]);
    }

    private function isFinished(): bool
    {
        return Completion::query()->where('person_id', $this->person('eira')->id)->where('item_key', 'l-timber')->exists();
    }

    public function test_what_is_right_is_not_in_the_page(): void
    {
        $this->get(self::LESSON)->assertOk()->assertDontSee('"right"', false)->assertInertia(fn (Page $page) => $page
            ->has('quiz.questions', 3)->where('quiz.needed', 70)->where('quiz.best', null)->where('quiz.can', true)->where('quiz.questions.2.several', true)
            ->missing('quiz.questions.0.right'));
    }

    public function test_too_few_right_answers_leave_it_open_and_say_which_were_wrong(): void
    {
        $this->answer([[1], [0], [0]])->assertRedirect(self::LESSON);
        $this->get(self::LESSON)->assertInertia(fn (Page $page) => $page->where('quiz.last', 66)->where('quiz.questions', fn (Collection $questions): bool => $questions->where('wrong', true)->pluck('place')->all() === [2])->where('item.finished', false));
        self::assertFalse($this->isFinished());
    }

    public function test_enough_right_answers_finish_it(): void
    {
        $this->answer([[1], [1], []]);
        $this->answer([[1], [0], [1, 0]])->assertRedirect();
        $this->get(self::LESSON)->assertInertia(fn (Page $page) => $page->where('quiz.best', 100)->where('item.finished', true));
        self::assertTrue($this->isFinished());
    }

    public function test_a_worse_try_later_takes_nothing_away(): void
    {
        $this->answer([[1], [0], [0, 1]]);
        $this->answer([[], [], []]);
        $this->get(self::LESSON)->assertInertia(fn (Page $page) => $page->where('quiz.best', 100)->where('quiz.last', 0)->where('item.finished', true));
    }

    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused_or_wrong(mixed $answers, bool $graded): void
    {
        $this->from(self::LESSON)->post(self::LESSON.'/quiz', ['version' => 1, 'answers' => $answers])->assertRedirect(self::LESSON);
        self::assertSame($graded ? 1 : 0, QuizTry::query()->count());
        self::assertFalse($this->isFinished());
    }

    /** @return array<string, array{mixed, bool}> */
    public static function nonsense(): array
    {
        return [
            'nothing' => [null, false],
            'words' => [[['a']], true],
            'a list in a list' => [[[['x']]], true],
            'very many letters' => [[[str_repeat('x', 201)]], false],
            'no lists' => [[1, 0, 0], false],
            'too few' => [[[1]], true],
            'all of them' => [[[0, 1, 2], [0, 1, 2], [0, 1, 2]], true],
            'the same twice' => [[[1, 1], [0, 0], [0]], true],
            'one that is not there' => [[[1], [0], [0, 1, 9]], true],
        ];
    }

    public function test_a_quiz_that_changed_meanwhile_grades_nothing(): void
    {
        Content::query()->where('item_key', 'l-timber')->update(['version' => 2]);
        $this->answer([[1], [0], [0, 1]])->assertSessionHas('flash.kind', 'refused');
        self::assertSame(0, QuizTry::query()->count());
    }

    public function test_nobody_answers_who_may_not_work_there(): void
    {
        foreach (['sunniva' => 403, 'nina' => 403, 'hege' => 403, 'jonas' => 403] as $name => $status) {
            $this->actingAs($this->person($name));
            $this->answer([[1], [0], [0, 1]])->assertStatus($status);
        }
        $this->post('/sign-out');
        $this->answer([[1], [0], [0, 1]])->assertNotFound();
        self::assertSame(0, QuizTry::query()->count());
    }

    /** @return list<array{int, int, float, bool}> right answers, of how many questions, the score that is needed, whether that is enough */
    public static function scores(): array
    {
        return [[1, 5, 0.2, true], [0, 5, 0.2, false], [2, 5, 0.4, true], [7, 10, 0.7, true], [6, 10, 0.7, false], [1, 3, 0.33, true], [2, 3, 0.67, false], [0, 1, 0.0, true]];
    }

    #[DataProvider('scores')]
    public function test_a_score_that_is_reached_exactly_is_enough(int $right, int $of, float $needed, bool $enough): void
    {
        $content = Content::query()->where('item_key', 'l-welcome')->firstOrFail();
        $content->quiz = array_fill(0, $of, ['ask' => 'Which?', 'answers' => ['this', 'that'], 'right' => [0]]);
        app(TryQuiz::class)($this->person('sunniva'), $this->course(), $content, array_map(static fn (int $at): array => [$at < $right ? 0 : 1], range(0, $of - 1)), $needed);
        self::assertSame($enough, Completion::query()->where('person_id', $this->person('sunniva')->id)->where('item_key', 'l-welcome')->exists());
    }
}
