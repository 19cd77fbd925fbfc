<?php

declare(strict_types=1);

namespace App\Learning\Quizzes;

use App\Learning\MarkFinished;
use App\Models\Content;
use App\Models\Course;
use App\Models\Person;
use App\Models\QuizTry;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Grades what somebody answered, and finishes the lesson where that is enough. Whether they may is for the caller to have asked the core. */
final readonly class TryQuiz
{
    public function __construct(private ClockInterface $clock, private MarkFinished $markFinished)
    {
    }

    /**
     * @param  list<list<int>>  $answers  for each question those that were chosen
     * @param  ?float  $needed  the score that finishes the lesson; null: none does
     */
    public function __invoke(Person $person, Course $course, Content $content, array $answers, ?float $needed): QuizTry
    {
        return DB::transaction(function () use ($person, $course, $content, $answers, $needed): QuizTry {
            $try = QuizTry::query()->create([
                'person_id' => $person->id, 'course_id' => $course->id, 'item_key' => $content->item_key,
                'score' => Quiz::score($content->quiz, $answers), 'answers' => $answers, 'tried_at' => $this->clock->now(),
            ]);
            // Scores are fractions: one of five comes out a hair below 0.2.
            if ($needed !== null && $try->score >= $needed - 1e-9) {
                ($this->markFinished)($person, $course, $content->item_key);
            }

            return $try;
        });
    }
}
