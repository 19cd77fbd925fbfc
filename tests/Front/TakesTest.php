<?php

declare(strict_types=1);

namespace Tests\Front;

use App\Front\CourseSizes;
use App\Front\LessonSize;
use App\Front\Sizes;
use App\Front\Takes;
use App\Models\Content;
use App\Models\Medium;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class TakesTest extends TestCase
{
    /** @return iterable<string, array{int, string}> */
    public static function times(): iterable
    {
        yield 'a minute' => [1, '1 min'];
        yield 'just under an hour' => [59, '59 min'];
        yield 'an hour' => [60, '1 h'];
        yield 'a little more is an hour' => [62, '1 h'];
        yield 'to five minutes' => [63, '1 h 5 min'];
        yield 'rounded to five' => [92, '1 h 30 min'];
        yield 'not to sixty' => [117, '1 h 55 min'];
        yield 'nearly two hours' => [118, '2 h'];
        yield 'just under five hours' => [299, '5 h'];
        yield 'from five hours on about' => [300, 'about 5 h'];
        yield 'about, rounded' => [400, 'about 7 h'];
    }

    #[DataProvider('times')]
    public function test_time(int $minutes, string $words): void
    {
        self::assertSame($words, Takes::time($minutes));
    }

    public function test_what_there_is_not_is_not_said(): void
    {
        self::assertSame('1 lesson', Takes::lessons(1, 0, 0, 0));
        self::assertSame('3 lessons, 1 film, 2 quizzes, 42 min', Takes::lessons(3, 1, 2, 42));
        self::assertSame('', Takes::lesson(new LessonSize(0, 0, false)));
        self::assertSame('film, quiz, 16 min', Takes::lesson(new LessonSize(16, 2, true)));
    }

    public function test_several_are_summed_and_what_is_not_there_is_nothing(): void
    {
        $sizes = new CourseSizes(['a' => new LessonSize(5, 1, true), 'b' => new LessonSize(7, 0, true)]);
        self::assertEquals(new LessonSize(12, 1, true), $sizes->together(['a', 'b', 'nothing']));
        self::assertSame(2, $sizes->quizzes(['a', 'b', 'nothing']));
    }

    public function test_minutes_are_the_authors_or_reckoned_from_what_there_is(): void
    {
        $this->demoSchool();
        $course = $this->course('sails')->id;
        Content::query()->where('course_id', $course)->delete();
        $content = Content::query()->create(['course_id' => $course, 'item_key' => 'l-cloth', 'text' => str_repeat('word ', 600), 'quiz' => array_fill(0, 4, ['ask' => '?', 'answers' => ['a', 'b'], 'right' => [0]])]);
        Medium::query()->create(['course_id' => $course, 'item_key' => 'l-seams', 'kind' => 'video', 'title' => 'x', 'name' => 'x', 'path' => 'x', 'type' => 'video/webm', 'bytes' => 1, 'seconds' => 200.0, 'position' => 0]);
        $sizes = app(Sizes::class)->of($course);
        // Three thousand characters are three minutes, four questions two.
        self::assertEquals([new LessonSize(5, 0, true), new LessonSize(3, 1, false), new LessonSize(0, 0, false)], [$sizes->of('l-cloth'), $sizes->of('l-seams'), $sizes->of('l-reef')]);
        // What was kept is known to be of before.
        $content->update(['minutes' => 25, 'version' => 2]);
        self::assertSame(25, app(Sizes::class)->of($course)->of('l-cloth')->minutes);
    }
}
