<?php

declare(strict_types=1);

namespace Tests\People;

use App\Models\Content;
use App\Models\GivenTry;
use App\Models\QuizTry;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Whoever helps people gives one more try at a quiz, at once. */
final class GivenTriesTest extends TestCase
{
    private const LESSON = '/courses/clinker/l-timber';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool('2026-03-10T12:00:00Z');
        $this->rules(['tries' => 1]);
        $this->actingAs($this->person('eira'))->post('/courses/clinker/l-planes/finished');
    }

    /** @param  array<string, mixed>  $rules */
    private function rules(array $rules): void
    {
        Content::query()->where('item_key', 'l-timber')->update(['quiz_rules' => json_encode($rules), 'version' => 5]);
    }

    private function answers(): string
    {
        $this->actingAs($this->person('eira'))->from(self::LESSON)->post(self::LESSON.'/quiz', ['version' => 5, 'answers' => [[0], [1], [2]]]);
        $flash = session('flash');

        return is_array($flash) && ($flash['kind'] ?? '') === 'refused' ? 'refused' : 'taken';
    }

    private function gives(string $who = 'aksel'): void
    {
        $this->actingAs($this->person($who))->post('/keep/people/acts', ['do' => 'try', 'people' => [$this->person('eira')->id], 'course' => 'clinker', 'item' => 'l-timber'])->assertRedirect()->assertSessionHasNoErrors();
    }

    public function test_one_more_try_is_given_told_taken_and_over(): void
    {
        self::assertSame(['taken', 'refused'], [$this->answers(), $this->answers()]);
        $this->actingAs($this->person('aksel'))->get('/keep/people/'.$this->person('eira')->id)->assertInertia(fn (Page $page) => $page->has('quizzes', 1)
            ->where('quizzes.0.title', 'Choosing larch')->where('quizzes.0.words', fn (string $words): bool => str_starts_with($words, '1 try of 1, 0 % at best, last '))->where('quizzes.0.held', true)->where('quizzes.0.given', 0));
        $this->gives();
        self::assertSame('done', session('flash')['kind']);
        $this->get('/keep/people/'.$this->person('eira')->id)->assertInertia(fn (Page $page) => $page->where('quizzes.0.held', false)->where('quizzes.0.given', 1)->where('history.0.words', 'one more try at Choosing larch')->where('history.0.by', 'Aksel Vik'));
        $this->actingAs($this->person('eira'))->get(self::LESSON)->assertInertia(fn (Page $page) => $page->where('quiz.left', 1)->where('quiz.can', true));
        self::assertSame(['taken', 'refused', 2], [$this->answers(), $this->answers(), QuizTry::query()->count()]);
    }

    public function test_a_second_click_gives_no_second_try(): void
    {
        $this->answers();
        $this->gives();
        $this->gives();
        self::assertSame(1, GivenTry::query()->count());
    }

    public function test_it_is_not_waited_for_but_the_next_one_is(): void
    {
        $this->rules(['tries' => null, 'wait' => 60]);
        self::assertSame(['taken', 'refused'], [$this->answers(), $this->answers()]);
        $this->gives();
        self::assertSame(['taken', 'refused'], [$this->answers(), $this->answers()]);
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        self::assertSame('taken', $this->answers());
    }

    public function test_it_can_be_taken_back(): void
    {
        $this->answers();
        $this->gives();
        $undo = session('flash')['undo'] ?? null;
        self::assertIsInt($undo);
        $this->post("/keep/people/acts/{$undo}/undo")->assertRedirect();
        self::assertSame([0, 'refused'], [GivenTry::query()->count(), $this->answers()]);
    }

    /** @return iterable<string, array{array<string, mixed>, bool, array<string, int>}> */
    public static function previews(): iterable
    {
        yield 'who has used them up' => [['tries' => 1], true, ['get one more try, at once' => 1]];
        yield 'who waits' => [['tries' => 3, 'wait' => 5], true, ['get one more try, at once' => 1]];
        yield 'who has one left' => [['tries' => 2], true, ['can try it already' => 1]];
        yield 'who may try as often as they like' => [[], true, ['can try it already' => 1]];
        yield 'who has not tried' => [['tries' => 1], false, ['have not tried it yet' => 1]];
    }

    /**
     * @param  array<string, mixed>  $rules
     * @param  array<string, int>  $told
     */
    #[DataProvider('previews')]
    public function test_what_it_would_do_is_told_before(array $rules, bool $tried, array $told): void
    {
        $this->rules($rules);
        if ($tried) {
            $this->answers();
        }
        $outcomes = $this->actingAs($this->person('hege'))->postJson('/keep/people/preview', ['do' => 'try', 'people' => [$this->person('eira')->id], 'course' => 'clinker', 'item' => 'l-timber'])->assertOk()->json('outcomes');
        self::assertSame($told, array_column((array) $outcomes, 'count', 'words'));
    }

    public function test_a_row_without_a_quiz_is_refused_at_its_field_and_learners_give_themselves_nothing(): void
    {
        $this->actingAs($this->person('hege'))->post('/keep/people/acts', ['do' => 'try', 'people' => [$this->person('eira')->id], 'course' => 'clinker', 'item' => 'l-planes'])->assertSessionHasErrors('item');
        $this->post('/keep/people/acts', ['do' => 'try', 'people' => [$this->person('eira')->id]])->assertSessionHasErrors('item');
        $this->actingAs($this->person('eira'))->post('/keep/people/acts', ['do' => 'try', 'people' => [$this->person('eira')->id], 'course' => 'clinker', 'item' => 'l-timber'])->assertNotFound();
        self::assertSame(0, GivenTry::query()->count());
    }

    public function test_the_number_of_queries_does_not_grow_with_quizzes(): void
    {
        $count = function (): int {
            DB::enableQueryLog();
            DB::flushQueryLog();
            $this->actingAs($this->person('hege'))->get('/keep/people/'.$this->person('eira')->id)->assertOk();

            return count(DB::getQueryLog());
        };
        $this->answers();
        $count();
        $one = $count();
        foreach (['l-planes', 'l-steam', 'l-garboard'] as $item) {
            QuizTry::query()->create(['person_id' => $this->person('eira')->id, 'course_id' => $this->course()->id, 'item_key' => $item, 'score' => 0.5, 'answers' => [], 'tried_at' => now()]);
        }
        self::assertSame($one, $count());
    }
}
