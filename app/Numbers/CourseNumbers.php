<?php

declare(strict_types=1);

namespace App\Numbers;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Counting\Counts;
use App\Counting\CountsPeopleSince;
use App\Database\Value;
use App\Models\Course;
use App\Models\PeopleCount;
use SilentKeep\Core\Foresight\Agenda;
use SilentKeep\Core\Foresight\TurnKind;
use SilentKeep\Core\Foresight\Whereabouts;
use SilentKeep\Core\Viewing\Viewer;

/**
 * Where learners were as each of the last weeks began and where they are, and for how many something opens in those to come.
 * The past is by what is recorded now: passes as they stand, what has been finished since it was.
 */
final readonly class CourseNumbers implements CountsPeopleSince
{
    /** Seconds for which it holds, people coming, going and finishing. */
    private const HOLDS = 3600;

    public function __construct(private Plans $plans, private Viewers $viewers, private SchoolClock $clock, private Counts $counts)
    {
    }

    /** Null where nothing is published. */
    public function of(Course $course): ?PeopleCount
    {
        $stamp = $this->plans->stamps()[$course->id] ?? null;
        if ($stamp === null) {
            return null;
        }
        $monday = Weeks::present($this->clock)->day();

        return $this->counts->of($course, "numbers {$monday}", hash('xxh128', $stamp), self::HOLDS, self::class);
    }

    public function since(string $what): int
    {
        return $this->weeks($what)->past()[0];
    }

    public function look(PeopleCount $count, Course $course, array $people): ?array
    {
        $decider = $this->plans->live($course);
        if ($decider === null) {
            return null;
        }
        $weeks = $this->weeks($count->what);
        $compiled = $this->plans->compiled($decider);
        [$whereabouts, $agenda, $result] = [new Whereabouts($compiled), new Agenda($compiled), $count->result];
        foreach ($this->viewers->each(array_fill_keys($people, false), $course) as $viewer) {
            foreach ([...$weeks->past(), $this->clock->now()] as $week => $at) {
                $place = $whereabouts->of($viewer, $at);
                if ($place !== null) {
                    self::add($result, "where {$week} {$place}", 1);
                }
            }
            foreach (self::openings($agenda, $viewer, $weeks, $this->clock->now()) as $week => $openings) {
                self::add($result, "people {$week}", 1);
                self::add($result, "openings {$week}", $openings);
            }
        }

        return $result;
    }

    /** @return array<int, int> how much opens for somebody, by week; those without any are left out */
    private static function openings(Agenda $agenda, Viewer $viewer, Weeks $weeks, int $now): array
    {
        $ends = $weeks->coming();
        $openings = [];
        $week = 0;
        foreach ($agenda->of($viewer, $ends[0], $ends[Weeks::COUNT], $now) as $turn) {
            while ($turn->at >= $ends[$week + 1]) {
                $week++;
            }
            if ($turn->kind === TurnKind::Opens) {
                $openings[$week] = ($openings[$week] ?? 0) + 1;
            }
        }

        return $openings;
    }

    /** @param  array<array-key, mixed>  $result */
    private static function add(array &$result, string $what, int $number): void
    {
        $result[$what] = Value::int($result[$what] ?? 0) + $number;
    }

    private function weeks(string $what): Weeks
    {
        return Weeks::of($this->clock, substr($what, strlen('numbers ')));
    }

    /**
     * How many were in a place, as far as it is counted.
     *
     * @param  int  $week  0: as the first of the weeks before began; the last: now
     * @param  string  $place  key of a top item, or that of {@see Whereabouts::THROUGH}
     */
    public static function were(PeopleCount $count, int $week, string $place): int
    {
        return Value::int($count->result["where {$week} {$place}"] ?? 0);
    }

    /** @return array{int, int} people for whom something opens in a week, and how much opens for all of them together */
    public static function opens(PeopleCount $count, int $week): array
    {
        return [Value::int($count->result["people {$week}"] ?? 0), Value::int($count->result["openings {$week}"] ?? 0)];
    }
}
