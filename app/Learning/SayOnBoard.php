<?php

declare(strict_types=1);

namespace App\Learning;

use App\Models\BoardPost;
use App\Models\Course;
use App\Models\Person;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Somebody says something on a board, or changes what they said a while ago. Whether they may be there is for the caller to have asked the core. */
final readonly class SayOnBoard
{
    /** Seconds for which what was said can be changed: time to mend it, not to say something else. */
    public const CHANGED_WITHIN = 1800;

    public function __construct(private ClockInterface $clock)
    {
    }

    /**
     * @param  ?string  $once  made by the page that sends it: the same again says nothing more
     * @param  ?int  $answers  number of the post that it answers; null: it begins something
     * @return bool false where there is no such post on this board any more
     */
    public function __invoke(Person $person, Course $course, string $board, string $text, ?string $once, ?int $answers = null): bool
    {
        return DB::transaction(function () use ($person, $course, $board, $text, $once, $answers): bool {
            $answered = $answers === null ? null : BoardPost::query()->where('course_id', $course->id)->where('item_key', $board)->find($answers);
            if ($answers !== null && $answered === null) {
                return false;
            }
            // Answers stand beneath what began it, also those to other answers.
            $said = ['course_id' => $course->id, 'item_key' => $board, 'person_id' => $person->id, 'text' => $text, 'answers_id' => $answered === null ? null : $answered->answers_id ?? $answered->id, 'posted_at' => $this->clock->now()];
            $once === null ? BoardPost::query()->create($said) : BoardPost::query()->firstOrCreate(['once' => "{$person->id} {$once}"], $said);

            return true;
        });
    }

    /**
     * Only one's own, and only for a while.
     *
     * @return ?bool null where there is none of theirs; false where it is too late
     */
    public function change(Person $person, Course $course, string $board, int $id, string $text): ?bool
    {
        $now = $this->clock->now();

        return DB::transaction(function () use ($person, $course, $board, $id, $text, $now): ?bool {
            $post = BoardPost::query()->where('course_id', $course->id)->where('item_key', $board)->where('person_id', $person->id)->whereNull('taken_back_at')->find($id);
            if ($post === null || $now->getTimestamp() >= $post->posted_at->getTimestamp() + self::CHANGED_WITHIN) {
                return $post === null ? null : false;
            }
            if ($post->text !== $text) {
                $post->update(['text' => $text, 'changed_at' => $now]);
            }

            return true;
        });
    }
}
