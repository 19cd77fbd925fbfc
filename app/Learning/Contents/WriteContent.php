<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use App\Models\Content;
use App\Models\Course;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Changes what an item says and asks. It holds at once, for everybody it is open to. */
final readonly class WriteContent
{
    public function __construct(private ActivityLog $log)
    {
    }

    /**
     * @param  list<array{ask: string, answers: list<string>, right: list<int>, kind?: string, told?: list<string>, within?: float}>  $quiz
     * @param  ?array{tries: ?int, wait: int, shuffle: bool, bands: list<array{from: int, name: string, words: string}>}  $rules  of the quiz; null: as often as one likes
     * @param  ?string  $board  what a board is for
     * @param  ?int  $minutes  that it takes; null: as reckoned
     * @param  int  $seen  the version that the author saw; 0: nothing was written yet
     * @return bool false where somebody else was there meanwhile, and nothing was changed
     */
    public function __invoke(Course $course, string $item, string $text, array $quiz, ?array $rules, ?string $board, ?int $minutes, int $seen, Person $author): bool
    {
        return DB::transaction(function () use ($course, $item, $text, $quiz, $rules, $board, $minutes, $seen, $author): bool {
            $content = Content::query()->where('course_id', $course->id)->where('item_key', $item)->first();
            if (($content->version ?? 0) !== $seen) {
                return false;
            }
            $before = $content?->only(['text', 'quiz', 'quiz_rules', 'board', 'minutes']);
            $written = ['text' => $text, 'quiz' => $quiz, 'quiz_rules' => $rules, 'board' => $board, 'minutes' => $minutes];
            $content === null
                ? Content::query()->create(['course_id' => $course->id, 'item_key' => $item, 'version' => 1, ...$written])
                : $content->update([...$written, 'version' => $content->version + 1]);
            $this->log->note('content.changed', $author, $course, before: ['item' => $item, ...($before ?? [])], after: ['item' => $item, ...$written]);

            return true;
        });
    }
}
