<?php

declare(strict_types=1);

namespace App\Counting;

use App\Models\Course;
use App\Models\PeopleCount;
use Illuminate\Contracts\Container\Container;
use Psr\Clock\ClockInterface;

/** What has been counted of a course's people, begun in the queue where it has not been. */
final readonly class Counts
{
    public function __construct(private Holders $holders, private ClockInterface $clock, private Container $made)
    {
    }

    /**
     * @param  string  $stamp  digest of what it depends on
     * @param  int  $holds  seconds for which it is good enough, people coming and going
     * @param  class-string<CountsPeople>  $by
     */
    public function of(Course $course, string $what, string $stamp, int $holds, string $by): PeopleCount
    {
        return $this->all([[$course, $stamp]], $what, $holds, $by)[$course->id];
    }

    /**
     * The same of several courses; one query where all are counted.
     *
     * @param  list<array{Course, string}>  $courses  with their stamps
     * @param  class-string<CountsPeople>  $by
     * @return array<int, PeopleCount> by the course's id
     */
    public function all(array $courses, string $what, int $holds, string $by): array
    {
        $counts = PeopleCount::query()->where('what', $what)->whereIntegerInRaw('course_id', array_map(static fn (array $one): int => $one[0]->id, $courses))->get()->keyBy('course_id')->all();
        $since = $this->clock->now()->getTimestamp() - $holds;
        $found = [];
        foreach ($courses as [$course, $stamp]) {
            $count = $counts[$course->id] ?? null;
            $found[$course->id] = $count?->stamp === $stamp && $count->began_at->getTimestamp() > $since ? $count : $this->begin($course, $what, $stamp, $by);
        }

        return $found;
    }

    /** @param  class-string<CountsPeople>  $by */
    private function begin(Course $course, string $what, string $stamp, string $by): PeopleCount
    {
        $of = $this->holders->by($this->made->make($by), $what, $course)->distinct()->count('person_id');
        $begun = PeopleCount::query()->updateOrCreate(['course_id' => $course->id, 'what' => $what], ['stamp' => $stamp, 'result' => [], 'looked' => 0, 'of' => $of, 'reached' => 0, 'began_at' => $this->clock->now(), 'finished_at' => null]);
        CountOn::dispatch($begun->id, $stamp, $by);

        return $begun->refresh();
    }
}
