<?php

declare(strict_types=1);

namespace App\Agenda;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Counting\Counts;
use App\Counting\CountsPeople;
use App\Database\Value;
use App\Models\Course;
use App\Models\PeopleCount;
use SilentKeep\Core\Foresight\Agenda;
use SilentKeep\Core\Foresight\Turn;
use SilentKeep\Core\Foresight\TurnKind;

/** The agenda of one course for one week, counted on its people. */
final readonly class CourseAgenda implements CountsPeople
{
    /** Seconds for which it holds, people coming, going and finishing. */
    private const HOLDS = 3600;

    public function __construct(private Plans $plans, private Viewers $viewers, private SchoolClock $clock, private Counts $counts)
    {
    }

    /**
     * @param  list<array{Course, string}>  $courses  each with the stamp of the rules that are in force
     * @param  string  $monday  on which the week begins, as a date
     * @return array<int, PeopleCount> by the course's id
     */
    public function all(array $courses, string $monday): array
    {
        return $this->counts->all(array_map(static fn (array $one): array => [$one[0], hash('xxh128', "{$one[1]} {$monday}")], $courses), "agenda {$monday}", self::HOLDS, self::class);
    }

    public function look(PeopleCount $count, Course $course, array $people): ?array
    {
        $decider = $this->plans->live($course);
        if ($decider === null) {
            return null;
        }
        $monday = substr($count->what, strlen('agenda '));
        $from = (int) $this->clock->instant("{$monday}T00:00");
        $agenda = new Agenda($this->plans->compiled($decider));
        $result = $count->result;
        foreach ($this->viewers->each(array_fill_keys($people, false), $course) as $viewer) {
            $mine = [];
            foreach ($agenda->of($viewer, $from, $this->clock->plusDays($from, 7), $this->clock->now()) as $turn) {
                $mine[self::key($this->clock->day($turn->at), $turn)][] = $turn->at;
            }
            foreach ($mine as $key => $instants) {
                [$number, $first, $last] = is_array($result[$key] ?? null) ? array_map(Value::int(...), $result[$key]) + [0, PHP_INT_MAX, 0] : [0, PHP_INT_MAX, 0];
                $result[$key] = [$number + 1, min($first, ...$instants), max($last, ...$instants)];
            }
        }

        return $result;
    }

    /**
     * What has been counted so far.
     *
     * @return list<AgendaTurn> in the order of their first instants
     */
    public static function turns(PeopleCount $count): array
    {
        $turns = [];
        foreach ($count->result as $key => $told) {
            $turns[] = self::turn((string) $key, $told);
        }
        usort($turns, static fn (AgendaTurn $a, AgendaTurn $b): int => [$a->first, $a->of] <=> [$b->first, $b->of]);

        return $turns;
    }

    /** The same summed up. */
    public static function sum(PeopleCount $count, int $now): AgendaSum
    {
        $opens = $ends = 0;
        $soonest = PHP_INT_MAX;
        $next = null;
        foreach ($count->result as $key => $told) {
            $kind = TurnKind::from(explode('|', (string) $key, 3)[1] ?? '');
            $opens += $kind === TurnKind::Opens ? 1 : 0;
            $ends += in_array($kind, [TurnKind::Closes, TurnKind::PassEnds, TurnKind::SeasonEnds], true) ? 1 : 0;
            $first = is_array($told) ? Value::int($told[1] ?? 0) : 0;
            if ($kind === TurnKind::Opens && $first > $now && $first <= $soonest) {
                // Of several at once the one that comes first by its key.
                $turn = self::turn((string) $key, $told);
                $next = $next === null || $first < $soonest || $turn->of < $next->of ? $turn : $next;
                $soonest = $first;
            }
        }

        return new AgendaSum($opens, $ends, $next);
    }

    /** @param  mixed  $told  people, and the first and the last instant */
    private static function turn(string $key, mixed $told): AgendaTurn
    {
        [$day, $kind, $of] = explode('|', $key, 3) + ['', '', ''];
        [$people, $first, $last] = is_array($told) ? array_map(Value::int(...), array_values($told)) + [0, 0, 0] : [0, 0, 0];

        return new AgendaTurn($day, TurnKind::from($kind), $of, $people, $first, $last);
    }

    private static function key(string $day, Turn $turn): string
    {
        return "{$day}|{$turn->kind->value}|{$turn->of}";
    }
}
