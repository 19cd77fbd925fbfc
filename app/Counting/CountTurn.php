<?php

declare(strict_types=1);

namespace App\Counting;

use App\Database\Value;
use App\Models\Course;
use App\Models\PeopleCount;
use Psr\Clock\ClockInterface;

/** One group after another. */
final readonly class CountTurn
{
    private const GROUP = 500;

    public function __construct(private Holders $holders, private ClockInterface $clock)
    {
    }

    /** The next group. False where nothing is left to be done, or somebody has begun anew. */
    public function step(int $id, string $stamp, CountsPeople $by): bool
    {
        $count = PeopleCount::query()->find($id);
        $course = $count === null ? null : Course::query()->find($count->course_id);
        if ($count === null || $course === null || $count->stamp !== $stamp || $count->finished_at !== null) {
            return false;
        }
        $people = array_values($this->holders->by($by, $count->what, $course)->where('person_id', '>', $count->reached)->orderBy('person_id')->distinct()->limit(self::GROUP)->pluck('person_id')->map(Value::int(...))->all());
        $result = $by->look($count, $course, $people);
        if ($result === null) {
            return false;
        }
        $done = count($people) < self::GROUP;
        // Only if nobody has counted this group meanwhile.
        PeopleCount::query()->whereKey($id)->where('stamp', $stamp)->where('reached', $count->reached)->whereNull('finished_at')->update([
            'result' => json_encode($result, JSON_THROW_ON_ERROR), 'looked' => $count->looked + count($people), 'reached' => $people === [] ? $count->reached : max($people),
            'finished_at' => $done ? $this->clock->now()->format('Y-m-d H:i:s') : null,
        ]);

        return ! $done;
    }
}
