<?php

declare(strict_types=1);

namespace App\Notices\NextRuns;

use App\Models\Course;
use App\Models\NextRun;
use App\Models\Person;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;

/** Notes that somebody wants to be told when a course runs again. Whoever asks twice waits once, and is answered no otherwise. */
final readonly class AskForNextRun
{
    public function __construct(private ClockInterface $clock)
    {
    }

    public function __invoke(Course $course, string $name, string $email, ?Person $person): void
    {
        $email = mb_strtolower(trim($email));
        $now = $this->clock->now();
        DB::transaction(static function () use ($course, $name, $email, $person, $now): void {
            $asked = NextRun::query()->where('course_id', $course->id)->where('email', $email)->first();
            if ($asked === null) {
                NextRun::query()->create(['course_id' => $course->id, 'person_id' => $person?->id, 'name' => trim($name), 'email' => $email, 'token' => Str::random(40), 'asked_at' => $now]);
            } elseif ($asked->told_at !== null) {
                // They were told of that run, and ask for the one after.
                $asked->update(['asked_at' => $now, 'told_at' => null]);
            }
        });
    }
}
