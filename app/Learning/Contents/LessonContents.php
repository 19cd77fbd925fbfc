<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use App\Learning\Quizzes\QuizCard;
use App\Learning\Quizzes\QuizCards;
use App\Models\Content;
use App\Models\Course;
use App\Models\Medium;
use App\Models\WatchRecord;
use Illuminate\Support\Number;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\State;

/** What an item holds. Asks for the decision, so that nobody can read a closed one by oversight. */
final readonly class LessonContents
{
    public function __construct(private MediaAddresses $addresses, private QuizCards $quizzes)
    {
    }

    /**
     * @param  bool  $drafted  as it is to be once the draft of the course is published: for those who run the school
     *
     * @throws \LogicException if the item is not open
     */
    public function of(Course $course, Decision $decision, bool $drafted = false): OpenContents
    {
        if ($decision->state !== State::Open) {
            throw new \LogicException('What a closed item holds was asked for.');
        }

        $content = Content::query()->where('course_id', $course->id)->where('item_key', $decision->item)->first();
        if ($drafted && $content?->drafted !== null) {
            $content->fill($content->drafted);
        }

        return new OpenContents(
            $content,
            Medium::query()->where('course_id', $course->id)->where('item_key', $decision->item)->orderBy('position')->orderBy('id')->get(),
        );
    }

    /**
     * What is written in those that are open; of all others nothing. One query.
     *
     * @param  list<Decision>  $decisions
     * @return list<Content> in that order
     */
    public function ofMany(Course $course, array $decisions, bool $drafted = false): array
    {
        $open = array_map(static fn (Decision $decision): string => $decision->item, array_filter($decisions, static fn (Decision $decision): bool => $decision->state === State::Open));
        $contents = $open === [] ? [] : Content::query()->where('course_id', $course->id)->whereIn('item_key', $open)->get()->keyBy('item_key')->all();
        foreach ($contents as $content) {
            if ($drafted && $content->drafted !== null) {
                $content->fill($content->drafted);
            }
        }

        return array_values(array_filter(array_map(static fn (string $key): ?Content => $contents[$key] ?? null, $open)));
    }

    /** @return list<MediumCard> */
    public function cards(OpenContents $contents, string $bearer): array
    {
        return array_values($contents->media->map(fn (Medium $medium): MediumCard => new MediumCard(
            $medium->id,
            $medium->kind,
            $medium->title,
            $this->addresses->of($medium, $bearer),
            implode(', ', array_filter([$medium->kind === 'file' ? self::ending($medium->name) : '', (string) Number::fileSize($medium->bytes)])),
            $medium->width,
            $medium->height,
            $medium->poster === null ? null : $this->addresses->of($medium, $bearer, 'poster'),
            $medium->captions === null ? null : $this->addresses->of($medium, $bearer, 'captions'),
            $medium->captions_language,
            $medium->captions === null ? [] : Captions::of($medium->captions)->cues,
        ))->all());
    }

    /** @param  ?float  $needed  the score that finishes the lesson; null: nothing depends on it */
    public function quiz(OpenContents $contents, ?float $needed, bool $may, ?int $learner): ?QuizCard
    {
        return $contents->content === null || $contents->content->quiz === [] ? null : $this->quizzes->of($contents->content, $needed, $may, $learner);
    }

    /** `PDF`: as whoever downloads it knows its kind. */
    private static function ending(string $name): string
    {
        return preg_match('/\.([A-Za-z0-9]{1,5})$/D', $name, $found) === 1 ? strtoupper($found[1]) : '';
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
