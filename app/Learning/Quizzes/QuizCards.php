<?php

declare(strict_types=1);

namespace App\Learning\Quizzes;

use App\Access\SchoolClock;
use App\Models\Content;
use App\Models\QuizTry;

/** What somebody is shown of a quiz: what is right is never among it. */
final readonly class QuizCards
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /**
     * @param  ?float  $needed  the score that finishes the lesson; null: nothing depends on it
     * @param  bool  $may  whether this viewer answers here at all
     * @param  ?int  $learner  whose tries are told
     */
    public function of(Content $content, ?float $needed, bool $may, ?int $learner): QuizCard
    {
        $questions = Quiz::of($content);
        $rules = QuizRules::of($content->quiz_rules);
        $tried = Tried::by($learner, $content->course_id, $content->item_key, $rules);
        $tries = $tried->tries;
        $last = $tries->last();
        $next = $tried->next();
        $now = $this->clock->now();
        $waits = $may && $next !== null && $next > $now;
        $percent = $last === null ? null : Quiz::percent($last->score);
        $band = $percent === null ? null : $rules->bandOf($percent);

        return new QuizCard(
            array_map(static fn (int $place): QuizQuestion => self::question($questions[$place], $place, $last), $rules->order(count($questions), "{$learner}/{$content->id}/{$content->version}/{$tries->count()}")),
            $needed === null ? null : (int) ceil($needed * 100),
            $tries->isEmpty() ? null : Quiz::percent(max($tries->map(static fn (QuizTry $try): float => $try->score)->all() ?: [0.0])),
            $percent,
            $band['name'] ?? '',
            $band['words'] ?? '',
            $tried->left(),
            $waits ? $this->clock->words($next) : null,
            $waits ? $next - $now : null,
            $may && $next !== null && ! $waits,
            $content->version,
        );
    }

    private static function question(Question $question, int $place, ?QuizTry $last): QuizQuestion
    {
        $given = $last->answers[$place] ?? [];

        return new QuizQuestion(
            $place, $question->kind->value, $question->ask,
            $question->kind === QuestionKind::Choice ? $question->answers : [],
            $question->kind === QuestionKind::Choice && count($question->right) > 1,
            $last !== null && ! $question->isRight($given),
            $last === null ? [] : $question->toldOf($given),
        );
    }
}
