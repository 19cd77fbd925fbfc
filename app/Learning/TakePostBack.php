<?php

declare(strict_types=1);

namespace App\Learning;

use App\Models\BoardPost;
use App\Models\Course;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Takes a post off a board: one's own, or any for whoever looks after the school. */
final readonly class TakePostBack
{
    public function __construct(private ActivityLog $log, private ClockInterface $clock)
    {
    }

    /** False where there is none that they could take. */
    public function __invoke(Person $person, Course $course, string $board, int $id): bool
    {
        $post = BoardPost::query()->with('person')->where('course_id', $course->id)->where('item_key', $board)->whereNull('taken_back_at')->whereKey($id)->first();
        if ($post === null || ($post->person_id !== $person->id && $person->role?->helpsPeople() !== true)) {
            return false;
        }
        DB::transaction(function () use ($post, $person, $course, $board): void {
            // What others have answered stays, and so the place of what they answered.
            BoardPost::query()->where('answers_id', $post->id)->exists() ? BoardPost::query()->whereKey($post->id)->update(['text' => '', 'taken_back_at' => $this->clock->now()]) : $post->delete();
            $this->log->note('post.taken-back', $person, $course, $post->person, before: ['item' => $board, 'text' => $post->text]);
        });

        return true;
    }
}
