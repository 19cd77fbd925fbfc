<?php

declare(strict_types=1);

namespace App\Access;

use App\Database\Value;
use Generator;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Grant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\TimedLabel;
use SilentKeep\Core\Viewing\Viewer;
use stdClass;

/**
 * Makes viewers of rows, one person after another: four queries however many people and courses, and no more of their rows at
 * once in memory than those of one.
 */
final readonly class ViewerRows
{
    /**
     * @param  array<int, bool|list<int>>  $people  whether they are staff, or in which courses, by id
     * @param  array<int>  $courses  ids
     * @return Generator<int, array<int, Viewer>> by person, in the order of their ids, and by course
     */
    public function each(array $people, array $courses): Generator
    {
        ksort($people);
        $ids = array_keys($people);
        $inCourses = static fn (string $table): Builder => self::rows($table, $ids)->whereIntegerInRaw('course_id', $courses);
        $labels = self::inTurn(self::rows('labels', $ids)->select('person_id', 'label', 'starts_at', 'ends_at'));
        $passes = self::inTurn(self::passes($ids, $courses));
        $grants = self::inTurn($inCourses('grants')->select('person_id', 'course_id', 'item_key', 'starts_at', 'ends_at'));
        $completions = self::inTurn($inCourses('completions')->select('person_id', 'course_id', 'item_key', 'completed_at'));
        foreach ($people as $person => $staff) {
            [$lasting, $timed] = self::labels($labels($person));
            [$held, $elsewhere] = self::held($passes($person));
            $granted = $done = [];
            foreach ($grants($person) as $row) {
                $granted[Value::int($row->course_id)][] = new Grant(Value::text($row->item_key), self::instant($row->starts_at), self::end($row->ends_at));
            }
            foreach ($completions($person) as $row) {
                $done[Value::int($row->course_id)][Value::text($row->item_key)] = self::instant($row->completed_at);
            }
            $viewers = [];
            foreach ($courses as $course) {
                $viewers[$course] = new Viewer(
                    staff: is_array($staff) ? in_array($course, $staff, true) : $staff, signedIn: true, labels: $lasting, passes: $held[$course] ?? [], grants: $granted[$course] ?? [], done: $done[$course] ?? [],
                    timedLabels: [...$timed, ...self::givenElsewhere($elsewhere, $course)],
                );
            }
            yield $person => $viewers;
        }
    }

    /**
     * @param  list<int>  $people
     */
    private static function rows(string $table, array $people): Builder
    {
        return DB::table($table)->whereIntegerInRaw("{$table}.person_id", $people)->orderBy("{$table}.person_id")->orderBy("{$table}.id");
    }

    /**
     * Those of the courses, and those of others that give labels.
     *
     * @param  list<int>  $people
     * @param  array<int>  $courses
     */
    private static function passes(array $people, array $courses): Builder
    {
        return self::rows('passes', $people)->join('offers', 'offers.id', '=', 'passes.offer_id')
            ->where(static fn (Builder $query): Builder => $query->whereIntegerInRaw('passes.course_id', $courses)->orWhere('offers.labels', '!=', '[]'))
            ->select('passes.person_id', 'passes.course_id', 'passes.state', 'passes.starts_at', 'passes.ends_at', 'passes.paced_from', 'offers.key', 'offers.labels');
    }

    /**
     * Hands out the rows of one person after the other; they are to be asked for in the order of their ids.
     *
     * @return \Closure(int): list<stdClass>
     */
    private static function inTurn(Builder $query): \Closure
    {
        /** @var ?Generator<stdClass> $rows */
        $rows = null;

        return static function (int $person) use (&$rows, $query): array {
            $rows ??= self::fetched($query);
            $found = [];
            while ($rows->valid()) {
                $row = $rows->current();
                if (Value::int($row->person_id) > $person) {
                    break;
                }
                $found[] = $row;
                $rows->next();
            }

            return $found;
        };
    }

    /** @return Generator<stdClass> */
    private static function fetched(Builder $query): Generator
    {
        yield from $query->cursor();
    }

    /**
     * @param  list<stdClass>  $rows
     * @return array{list<string>, list<TimedLabel>} held for good; held for a time
     */
    private static function labels(array $rows): array
    {
        $lasting = $timed = [];
        foreach ($rows as $row) {
            $label = Value::text($row->label);
            if ($row->starts_at === null && $row->ends_at === null) {
                $lasting[] = $label;
            } else {
                $timed[] = new TimedLabel($label, $row->starts_at === null ? 0 : self::instant($row->starts_at), self::end($row->ends_at));
            }
        }

        return [$lasting, $timed];
    }

    /**
     * @param  list<stdClass>  $rows
     * @return array{array<int, list<Pass>>, list<array{int, TimedLabel}>} passes by course; the labels that they give, with the course of the pass
     */
    private static function held(array $rows): array
    {
        $passes = $given = [];
        foreach ($rows as $row) {
            $course = Value::int($row->course_id);
            $pass = new Pass(Value::text($row->key), self::instant($row->starts_at), self::end($row->ends_at), PassState::from(Value::text($row->state)), $row->paced_from === null ? null : self::instant($row->paced_from));
            $passes[$course][] = $pass;
            $labels = $row->labels === '[]' || $pass->state !== PassState::Active ? [] : json_decode(Value::text($row->labels), true);
            foreach (is_array($labels) ? array_filter($labels, is_string(...)) : [] as $label) {
                $given[] = [$course, new TimedLabel($label, $pass->from, $pass->until)];
            }
        }

        return [$passes, $given];
    }

    /**
     * What passes of other courses give: a course's own rules do not know their offers.
     *
     * @param  list<array{int, TimedLabel}>  $given  with the course of the pass
     * @return list<TimedLabel>
     */
    private static function givenElsewhere(array $given, int $course): array
    {
        return array_values(array_map(static fn (array $one): TimedLabel => $one[1], array_filter($given, static fn (array $one): bool => $one[0] !== $course)));
    }

    /** @param  mixed  $stored  UTC */
    private static function instant(mixed $stored): int
    {
        return (new \DateTimeImmutable(Value::text($stored), new \DateTimeZone('UTC')))->getTimestamp();
    }

    private static function end(mixed $stored): int
    {
        return $stored === null ? Instant::NEVER : self::instant($stored);
    }
}
