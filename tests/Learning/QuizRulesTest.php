<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Learning\Quizzes\Question;
use App\Learning\Quizzes\QuizRules;
use App\Models\Completion;
use App\Models\Content;
use App\Models\QuizTry;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** How questions are answered, how often a quiz is tried, and what its results are called. */
final class QuizRulesTest extends TestCase
{
    private const LESSON = '/courses/clinker/l-timber';

    private const CHOICE = ['ask' => 'Which?', 'kind' => 'choice', 'answers' => ['Larch', 'Oak', 'Both'], 'right' => [1], 'told' => ['It floats.', 'Yes, it bends.', '']];

    private const NUMBER = ['ask' => 'How many degrees?', 'kind' => 'number', 'answers' => ['25,5'], 'right' => [], 'told' => ['Just so.', 'Look at the iron.'], 'within' => 0.5];

    private const TEXT = ['ask' => 'What is the lowest plank called?', 'kind' => 'text', 'answers' => ['Garboard', 'garboard strake'], 'right' => [], 'told' => []];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('eira'))->post('/courses/clinker/l-planes/finished');
    }

    /** @return iterable<string, array{array<string, mixed>, list<int|string>, bool, list<string>}> question; answer; whether it is right; what is said of it */
    public static function answers(): iterable
    {
        yield 'the right one' => [self::CHOICE, [1], true, ['Yes, it bends.']];
        yield 'a wrong one, of which something is said' => [self::CHOICE, [0], false, ['It floats.']];
        yield 'a wrong one, of which nothing is' => [self::CHOICE, [2], false, []];
        yield 'the right one beside a wrong one' => [self::CHOICE, [0, 1], false, ['It floats.', 'Yes, it bends.']];
        yield 'digits, as forms send them' => [self::CHOICE, ['1'], true, ['Yes, it bends.']];
        yield 'words' => [self::CHOICE, ['Oak'], false, []];
        yield 'none' => [self::CHOICE, [], false, []];
        yield 'the number' => [self::NUMBER, ['25,5'], true, ['Just so.']];
        yield 'with a point' => [self::NUMBER, ['25.5'], true, ['Just so.']];
        yield 'at the edge of what is near enough' => [self::NUMBER, ['26'], true, ['Just so.']];
        yield 'below, at the edge' => [self::NUMBER, ['25.0'], true, ['Just so.']];
        yield 'just beyond' => [self::NUMBER, ['26.01'], false, ['Look at the iron.']];
        yield 'a word for a number' => [self::NUMBER, ['twenty-five'], false, ['Look at the iron.']];
        yield 'no number typed' => [self::NUMBER, [''], false, []];
        yield 'exactly, in tenths' => [['answers' => ['0.3'], 'within' => 0.1] + self::NUMBER, ['0.2'], true, ['Just so.']];
        yield 'thousands with a space' => [['answers' => ['1200'], 'within' => 0] + self::NUMBER, ["1\u{00A0}200"], true, ['Just so.']];
        yield 'below nothing' => [['answers' => ['-4'], 'within' => 0] + self::NUMBER, ['−4'], true, ['Just so.']];
        yield 'the word' => [self::TEXT, ['garboard'], true, []];
        yield 'in capitals, with spaces' => [self::TEXT, ['  GARBOARD   Strake '], true, []];
        yield 'another word' => [self::TEXT, ['keel'], false, []];
        yield 'no word' => [self::TEXT, [' '], false, []];
    }

    /**
     * @param  array{ask: string, answers: list<string>, right: list<int>}  $question
     * @param  list<int|string>  $given
     * @param  list<string>  $told
     */
    #[DataProvider('answers')]
    public function test_an_answer(array $question, array $given, bool $right, array $told): void
    {
        self::assertSame([$right, $told], [Question::of($question)->isRight($given), Question::of($question)->toldOf($given)]);
    }

    /** @return iterable<string, array{?int, int, int, ?int, ?int}> tries; minutes between; so often tried; last at; next at */
    public static function tries(): iterable
    {
        yield 'never tried' => [3, 60, 0, null, 0];
        yield 'as many as one likes' => [null, 0, 40, 1000, 1000];
        yield 'after the wait' => [3, 60, 1, 1000, 4600];
        yield 'the last one' => [3, 0, 2, 1000, 1000];
        yield 'none is left' => [3, 60, 3, 1000, null];
    }

    #[DataProvider('tries')]
    public function test_the_next_try(?int $tries, int $wait, int $tried, ?int $last, ?int $next): void
    {
        self::assertSame($next, QuizRules::of(['tries' => $tries, 'wait' => $wait])->nextTry($tried, $last));
    }

    public function test_a_result_is_called_by_the_highest_band_that_was_reached(): void
    {
        $rules = QuizRules::of(['bands' => [['from' => 80, 'name' => 'Ready', 'words' => ''], ['from' => 50, 'name' => 'Nearly', 'words' => '']]]);
        self::assertSame([null, 'Nearly', 'Nearly', 'Ready', 'Ready'], array_map(static fn (int $percent): ?string => $rules->bandOf($percent)['name'] ?? null, [49, 50, 79, 80, 100]));
    }

    public function test_another_order_holds_every_question_once_and_stays_until_the_next_try(): void
    {
        $rules = QuizRules::of(['shuffle' => true]);
        $orders = [];
        for ($try = 0; $try < 12; $try++) {
            $order = $rules->order(6, "eira/{$try}");
            self::assertSame($order, $rules->order(6, "eira/{$try}"));
            $orders[] = implode(' ', $order);
            sort($order);
            self::assertSame(range(0, 5), $order);
        }
        self::assertGreaterThan(6, count(array_unique($orders)));
        self::assertSame([0, 1, 2], QuizRules::of(null)->order(3, 'eira/0'));
        self::assertSame([[], [0]], [$rules->order(0, 'x'), $rules->order(1, 'x')]);
    }

    /**
     * @param  list<array<string, mixed>>  $quiz
     * @param  ?array<string, mixed>  $rules
     */
    private function quiz(array $quiz, ?array $rules = null): void
    {
        Content::query()->where('item_key', 'l-timber')->update(['quiz' => json_encode($quiz), 'quiz_rules' => $rules === null ? null : json_encode($rules), 'version' => 5]);
    }

    /**
     * @param  list<list<int|string>>  $answers
     * @return TestResponse<Response>
     */
    private function answer(array $answers): TestResponse
    {
        return $this->from(self::LESSON)->post(self::LESSON.'/quiz', ['version' => 5, 'answers' => $answers]);
    }

    public function test_what_is_right_and_what_is_said_of_it_is_in_no_page_before_it_is_answered(): void
    {
        $this->quiz([self::CHOICE, self::NUMBER, self::TEXT]);
        $page = (string) $this->get(self::LESSON)->assertOk()->getContent();
        foreach (['it bends', 'It floats', '25,5', 'Just so', 'Look at the iron', 'arboard'] as $secret) {
            self::assertStringNotContainsString($secret, str_replace(['The garboard', 'l-garboard'], '', $page));
        }
        $this->answer([[0], ['30'], ['keel']]);
        $page = str_replace(['The garboard', 'l-garboard'], '', (string) $this->get(self::LESSON)->getContent());
        self::assertStringContainsString('It floats.', $page);
        self::assertStringContainsString('Look at the iron.', $page);
        foreach (['it bends', '25,5', 'Just so', 'arboard'] as $secret) {
            self::assertStringNotContainsString($secret, $page);
        }
    }

    public function test_numbers_and_words_finish_a_lesson(): void
    {
        $this->quiz([self::NUMBER, self::TEXT]);
        $this->answer([['26'], ['garboard strake']])->assertSessionHasNoErrors();
        self::assertSame(1.0, QuizTry::query()->sole()->score);
        self::assertTrue(Completion::query()->where('person_id', $this->person('eira')->id)->where('item_key', 'l-timber')->exists());
    }

    public function test_after_the_last_try_nothing_is_graded_any_more(): void
    {
        $this->quiz([self::CHOICE], ['tries' => 2, 'wait' => 0]);
        self::assertSame([2, true], [$this->get(self::LESSON)->inertiaProps('quiz.left'), $this->get(self::LESSON)->inertiaProps('quiz.can')]);
        $this->answer([[0]]);
        $this->answer([[0]]);
        self::assertSame([0, false], [$this->get(self::LESSON)->inertiaProps('quiz.left'), $this->get(self::LESSON)->inertiaProps('quiz.can')]);
        $this->answer([[1]])->assertSessionHas('flash.text', 'You have tried as often as one may. If you need another try, ask the school.');
        self::assertSame(2, QuizTry::query()->count());
    }

    public function test_the_next_try_waits_to_the_second(): void
    {
        $this->quiz([self::CHOICE], ['tries' => null, 'wait' => 60]);
        $this->answer([[0]]);
        Carbon::setTestNow('2026-03-10T12:59:59Z');
        self::assertSame(['Tue 10 Mar, 14:00', 1, false], [$this->get(self::LESSON)->inertiaProps('quiz.again'), $this->get(self::LESSON)->inertiaProps('quiz.againIn'), $this->get(self::LESSON)->inertiaProps('quiz.can')]);
        $this->answer([[1]])->assertSessionHas('flash.text', 'You can try again Tue 10 Mar, 14:00.');
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        self::assertNull($this->get(self::LESSON)->inertiaProps('quiz.again'));
        $this->answer([[1]]);
        self::assertSame(2, QuizTry::query()->count());
    }

    public function test_a_result_is_told_by_its_name(): void
    {
        $this->quiz([self::CHOICE, self::TEXT], ['bands' => [['from' => 0, 'name' => 'Not yet', 'words' => 'Read it once more.'], ['from' => 50, 'name' => 'Nearly', 'words' => '']]]);
        $this->answer([[0], ['keel']]);
        self::assertSame(['Not yet', 'Read it once more.'], [$this->get(self::LESSON)->inertiaProps('quiz.band'), $this->get(self::LESSON)->inertiaProps('quiz.bandWords')]);
        $this->answer([[1], ['keel']]);
        self::assertSame('Nearly', $this->get(self::LESSON)->inertiaProps('quiz.band'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'a number that is none' => [['quiz' => [['answers' => ['many']] + self::NUMBER]], 'quiz.0.answers.0'];
        yield 'two right numbers' => [['quiz' => [['answers' => ['1', '2']] + self::NUMBER]], 'quiz.0.answers.0'];
        yield 'further off than nothing' => [['quiz' => [['within' => '-1'] + self::NUMBER]], 'quiz.0.within'];
        yield 'far off in words' => [['quiz' => [['within' => 'a little'] + self::NUMBER]], 'quiz.0.within'];
        yield 'no words that are right' => [['quiz' => [['answers' => []] + self::TEXT]], 'quiz.0.answers'];
        yield 'one thing to choose from' => [['quiz' => [['answers' => ['Oak'], 'right' => [0]] + self::CHOICE]], 'quiz.0.answers'];
        yield 'nothing right to choose' => [['quiz' => [['right' => []] + self::CHOICE]], 'quiz.0.right'];
        yield 'a kind that there is not' => [['quiz' => [['kind' => 'essay'] + self::CHOICE]], 'quiz.0.kind'];
        yield 'no tries at all' => [['rules' => ['tries' => 0]], 'rules.tries'];
        yield 'a wait of months' => [['rules' => ['wait' => 43201]], 'rules.wait'];
        yield 'a band beyond everything' => [['rules' => ['bands' => [['from' => 101, 'name' => 'x', 'words' => '']]]], 'rules.bands.0.from'];
        yield 'a band without a name' => [['rules' => ['bands' => [['from' => 1, 'name' => '', 'words' => '']]]], 'rules.bands.0.name'];
        yield 'two bands from the same on' => [['rules' => ['bands' => [['from' => 1, 'name' => 'a', 'words' => ''], ['from' => 1, 'name' => 'b', 'words' => '']]]], 'rules.bands.1.from'];
    }

    /** @param  array<string, mixed>  $given */
    #[DataProvider('refused')]
    public function test_what_cannot_be_is_refused_at_its_field(array $given, string $field): void
    {
        $this->actingAs($this->person('hege'))->put('/keep/courses/clinker/contents/l-timber', ['version' => 1, 'text' => '', ...$given])->assertSessionHasErrors($field);
        self::assertSame(1, Content::query()->where('item_key', 'l-timber')->sole()->version);
    }

    public function test_what_is_written_comes_back_as_it_was(): void
    {
        $rules = ['tries' => 3, 'wait' => 90, 'shuffle' => true, 'bands' => [['from' => 50, 'name' => 'Nearly', 'words' => 'Once more.']]];
        $this->actingAs($this->person('hege'))->put('/keep/courses/clinker/contents/l-timber', ['version' => 1, 'text' => '', 'quiz' => [self::CHOICE, ['within' => '0,5'] + self::NUMBER, self::TEXT], 'rules' => $rules])->assertSessionHasNoErrors();
        $form = $this->get('/keep/courses/clinker/contents/l-timber')->inertiaProps('open');
        self::assertSame($rules, $form['rules']);
        self::assertSame(['choice', 'number', 'text'], array_column($form['quiz'], 'kind'));
        self::assertSame([['It floats.', 'Yes, it bends.', ''], ['25,5'], '0.5', ['Garboard', 'garboard strake']], [$form['quiz'][0]['told'], $form['quiz'][1]['answers'], $form['quiz'][1]['within'], $form['quiz'][2]['answers']]);
        // As often as one likes is not kept at all.
        $this->put('/keep/courses/clinker/contents/l-timber', ['version' => 2, 'text' => '', 'quiz' => [self::CHOICE], 'rules' => ['tries' => null, 'wait' => 0, 'shuffle' => false, 'bands' => []]])->assertSessionHasNoErrors();
        self::assertNull(Content::query()->where('item_key', 'l-timber')->sole()->quiz_rules);
    }
}
