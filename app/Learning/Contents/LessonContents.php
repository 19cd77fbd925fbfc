<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use App\Database\Value;
use App\Learning\Quizzes\Quiz;
use App\Learning\Quizzes\QuizCard;
use App\Learning\Quizzes\QuizQuestion;
use App\Models\Content;
use App\Models\Course;
use App\Models\Medium;
use App\Models\QuizTry;
use App\Models\WatchRecord;
use Illuminate\Support\Collection;
use Illuminate\Support\Number;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\State;

/** What an item holds. Asks for the decision, so that nobody can read a closed one by oversight. */
final readonly class LessonContents
{
    public function __construct(private MediaAddresses $addresses)
    {
    }

    /** @throws \LogicException if the item is not open */
    public function of(Course $course, Decision $decision): OpenContents
    {
        if ($decision->state !== State::Open) {
            throw new \LogicException('What a closed item holds was asked for.');
        }

        return new OpenContents(
            Content::query()->where('course_id', $course->id)->where('item_key', $decision->item)->first(),
            Medium::query()->where('course_id', $course->id)->where('item_key', $decision->item)->orderBy('position')->orderBy('id')->get(),
        );
    }

    /** @return list<MediumCard> */
    public function cards(OpenContents $contents, string $bearer): array
    {
        return array_values($contents->media->map(fn (Medium $medium): MediumCard => new MediumCard(
            $medium->id,
            $medium->kind,
            $medium->title,
            $this->addresses->of($medium, $bearer),
            (string) Number::fileSize($medium->bytes),
        ))->all());
    }

    /** @param  ?float  $needed  the score that finishes the lesson; null: nothing depends on it */
    public function quiz(OpenContents $contents, ?float $needed, bool $can, ?int $learner): ?QuizCard
    {
        $quiz = $contents->content->quiz ?? [];
        if ($quiz === []) {
            return null;
        }
        $tries = $learner === null ? new Collection : QuizTry::query()->where('person_id', $learner)->where('course_id', $contents->content?->course_id)->where('item_key', $contents->content?->item_key)->orderBy('id')->get();
        $last = $tries->last();

        return new QuizCard(
            array_map(static fn (array $question): QuizQuestion => new QuizQuestion($question['ask'], $question['answers'], count($question['right']) > 1), $quiz),
            $needed === null ? null : (int) ceil($needed * 100),
            $tries->isEmpty() ? null : self::perCent(Value::float($tries->max('score'))),
            $last === null ? null : self::perCent($last->score),
            $last === null ? [] : Quiz::wrong($quiz, $last->answers),
            $can,
            $contents->content->version ?? 1,
        );
    }

    /** Rounded down, so that nobody reads of a score that they have not reached. */
    private static function perCent(float $score): int
    {
        return (int) floor($score * 100 + 1e-9);
    }

    /** The video that is to be watched: the first of the item. */
    public static function video(OpenContents $contents): ?Medium
    {
        return $contents->media->firstWhere('kind', 'video');
    }

    public function watchOf(Medium $medium, int $person): ?WatchRecord
    {
        return WatchRecord::query()->where('person_id', $person)->where('medium_id', $medium->id)->first();
    }
}
