<?php

declare(strict_types=1);

namespace App\Notices\NextRuns;

use App\Access\Plans;
use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Models\Course;
use App\Models\NextRun;
use App\School\Letters\InTheirLanguage;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterTo;
use App\School\Letters\WriteLetters;
use App\Words\Say;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Outline\CourseState;

/** Writes to those who asked to be told when a course runs again; each once, some at a time. */
final readonly class TellOfNextRun
{
    private const GROUP = 200;

    public function __construct(private Plans $plans, private SchoolClock $clock, private WriteLetters $write, private InTheirLanguage $language)
    {
    }

    /** Whether the course is there to be come to: live, and its season not over. */
    public function runs(Course $course): bool
    {
        $rules = $this->plans->live($course)?->course;

        return $rules !== null && $rules->state === CourseState::Live && ($rules->closes === null || $rules->closes > $this->clock->now());
    }

    public static function waiting(Course $course): int
    {
        return NextRun::query()->where('course_id', $course->id)->whereNull('told_at')->count();
    }

    /** @return bool whether there are more */
    public function some(Course $course): bool
    {
        if (! $this->runs($course)) {
            return false;
        }
        $waiting = NextRun::query()->where('course_id', $course->id)->whereNull('told_at')->orderBy('id')->limit(self::GROUP)->get();
        $title = $this->plans->live($course)->course->title ?? $course->key;
        $opens = $this->plans->live($course)?->course->opens;
        $letters = [];
        foreach ($waiting as $one) {
            $letters[] = $this->language->say(null, fn (): LetterTo => LetterTo::address($one->person_id, $one->name, $one->email, [
                'course' => $title, 'address' => SchoolAddress::of('course', $course->getRouteKey()),
                'opens' => $opens === null || $opens <= $this->clock->now() ? Say::text('letters.now') : Say::text('letters.zoned', ['at' => $this->clock->plain($opens), 'zone' => $this->clock->zoneName()]),
            ], "next-run {$one->id} {$one->asked_at->getTimestamp()}", SchoolAddress::of('next-run.stop', $one->token)));
        }
        DB::transaction(function () use ($waiting, $letters): void {
            // Who has stopped it meanwhile is not written to.
            $still = NextRun::query()->whereIn('id', $waiting->pluck('id')->all())->whereNull('told_at')->pluck('id')->flip();
            ($this->write)(LetterKind::NextRun, array_values(array_filter($letters, static fn (LetterTo $letter, int $index): bool => $still->has($waiting[$index]->id ?? 0), ARRAY_FILTER_USE_BOTH)));
            NextRun::query()->whereIn('id', $still->keys()->all())->update(['told_at' => gmdate('Y-m-d H:i:s', $this->clock->now())]);
        });

        return $waiting->count() === self::GROUP;
    }
}
