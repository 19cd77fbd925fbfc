<?php

declare(strict_types=1);

namespace App\Learning\Quizzes;

use App\Models\Content;

/** What answers to several questions come to. */
final readonly class Quiz
{
    /** @return list<Question> */
    public static function of(Content $content): array
    {
        return array_map(Question::of(...), $content->quiz);
    }

    /**
     * @param  list<Question>  $questions
     * @param  list<list<int|string>>  $answers  for each question what was chosen or typed
     * @return list<int> the questions that were answered wrongly, or not at all
     */
    public static function wrong(array $questions, array $answers): array
    {
        return array_values(array_filter(array_keys($questions), static fn (int $index): bool => ! $questions[$index]->isRight($answers[$index] ?? [])));
    }

    /**
     * @param  list<Question>  $questions
     * @param  list<list<int|string>>  $answers
     * @return float from 0 to 1
     */
    public static function score(array $questions, array $answers): float
    {
        return $questions === [] ? 0.0 : 1 - count(self::wrong($questions, $answers)) / count($questions);
    }

    /** Rounded down, so that nobody reads of a score that they have not reached. */
    public static function percent(float $score): int
    {
        return (int) floor($score * 100 + 1e-9);
    }
}
