<?php

declare(strict_types=1);

namespace App\Counting;

use App\Models\Course;
use App\Models\PeopleCount;
use Psr\Clock\ClockInterface;

/** What has been counted of a course's people, begun in the queue where it has not been. */
final readonly class Counts
{
    public function __construct(private Holders $holders, private ClockInterface $clock)
    {
    }

    /**
     * @param  string  $stamp  digest of what it depends on
     * @param  int  $holds  seconds for which it is good enough, people coming and going
     * @param  class-string<CountsPeople>  $by
     */
    public function of(Course $course, string $what, string $stamp, int $holds, string $by): PeopleCount
    {
        $count = PeopleCount::query()->where('course_id', $course->id)->where('what', $what)->first();
        if ($count?->stamp === $stamp && $count->began_at->getTimestamp() > $this->clock->now()->getTimestamp() - $holds) {
            return $count;
        }
        $of = $this->holders->of($course)->distinct()->count('person_id');
        $begun = PeopleCount::query()->updateOrCreate(['course_id' => $course->id, 'what' => $what], ['stamp' => $stamp, 'result' => [], 'looked' => 0, 'of' => $of, 'reached' => 0, 'began_at' => $this->clock->now(), 'finished_at' => null]);
        CountOn::dispatch($begun->id, $stamp, $by);

        return $begun->refresh();
    }
}
