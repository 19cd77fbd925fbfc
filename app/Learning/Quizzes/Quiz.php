<?php

declare(strict_types=1);

namespace App\Learning\Quizzes;

/** Questions with several answers each: one is right where exactly its right answers are chosen. */
final readonly class Quiz
{
    /**
     * @param  list<array{ask: string, answers: list<string>, right: list<int>}>  $quiz
     * @param  list<list<int>>  $answers  for each question those that were chosen
     * @return list<int> the questions that were answered wrongly, or not at all
     */
    public static function wrong(array $quiz, array $answers): array
    {
        $wrong = [];
        foreach ($quiz as $index => $question) {
            $chosen = array_unique($answers[$index] ?? []);
            $right = $question['right'];
            sort($chosen);
            sort($right);
            if ($chosen !== $right) {
                $wrong[] = $index;
            }
        }

        return $wrong;
    }

    /**
     * @param  list<array{ask: string, answers: list<string>, right: list<int>}>  $quiz
     * @param  list<list<int>>  $answers
     * @return float from 0 to 1
     */
    public static function score(array $quiz, array $answers): float
    {
        return $quiz === [] ? 0.0 : 1 - count(self::wrong($quiz, $answers)) / count($quiz);
    }
}
