<?php

declare(strict_types=1);

namespace App\Access;

use App\Database\Dialects;
use App\Database\Lists;
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

/**
 * Makes viewers of rows, one person after another: four queries for each thousand people, however many courses, and no more of
 * their rows at once in memory. Rows come as lists: an object for each would take longer than deciding for them.
 */
final readonly class ViewerRows
{
    private const GROUP = 1000;

    /** Of so many courses rows are found by course, where those of many people lie side by side; of more by person. */
    private const FEW_COURSES = 3;

    /**
     * @param  array<int, bool|list<int>>  $people  whether they are staff, or in which courses, by id
     * @param  array<int>  $courses  ids
     * @return Generator<int, array<int, Viewer>> by person, in the order of their ids, and by course
     */
    public function each(array $people, array $courses): Generator
    {
        ksort($people);
        foreach (array_chunk($people, self::GROUP, preserve_keys: true) as $some) {
            yield from self::group($some, $courses);
        }
    }

    /**
     * @param  array<int, bool|list<int>>  $people
     * @param  array<int>  $courses
     * @return Generator<int, array<int, Viewer>>
     */
    private static function group(array $people, array $courses): Generator
    {
        $ids = array_keys($people);
        [$lasting, $timed] = self::labels($ids);
        [$passes, $given] = self::passes($ids, $courses);
        $grants = self::grants($ids, $courses);
        $done = self::done($ids, $courses);
        foreach ($people as $person => $staff) {
            $viewers = [];
            foreach ($courses as $course) {
                $viewers[$course] = new Viewer(
                    staff: is_array($staff) ? in_array($course, $staff, true) : $staff,
                    signedIn: true,
                    labels: $lasting[$person] ?? [],
                    passes: $passes[$person][$course] ?? [],
                    grants: $grants[$person][$course] ?? [],
                    done: $done[$person][$course] ?? [],
                    timedLabels: isset($given[$person]) ? [...$timed[$person] ?? [], ...self::givenElsewhere($given[$person], $course)] : $timed[$person] ?? [],
                );
            }
            yield $person => $viewers;
        }
    }

    /**
     * @param  list<int>  $people
     * @return array{array<int, list<string>>, array<int, list<TimedLabel>>} held for good; held for a time; both by person
     */
    private static function labels(array $people): array
    {
        $lasting = $timed = [];
        $rows = DB::table('labels')->whereIntegerInRaw('person_id', $people)->orderBy('person_id')->orderBy('id')->select('person_id', 'label', 'starts_at', 'ends_at');
        foreach (Lists::of($rows) as [$person, $label, $starts, $ends]) {
            if ($starts === null && $ends === null) {
                $lasting[(int) $person][] = (string) $label;
            } else {
                $timed[(int) $person][] = new TimedLabel((string) $label, $starts === null ? 0 : Value::instant((string) $starts), self::end($ends));
            }
        }

        return [$lasting, $timed];
    }

    /**
     * Those of the courses, and the labels that passes give: of others only those that give some are read.
     *
     * @param  list<int>  $people
     * @param  array<int>  $courses
     * @return array{array<int, array<int, list<Pass>>>, array<int, list<array{int, TimedLabel}>>} passes by person and course; labels by person, with the course of the pass
     */
    private static function passes(array $people, array $courses): array
    {
        $passes = static fn (): Builder => DB::table('passes')->join('offers', 'offers.id', '=', 'passes.offer_id')
            ->select('passes.person_id', 'passes.id', 'passes.course_id', 'passes.state', 'passes.starts_at', 'passes.ends_at', 'passes.paced_from', 'offers.key', 'offers.labels');
        $elsewhere = $passes()->whereIntegerInRaw('passes.person_id', $people)->whereIntegerNotInRaw('passes.course_id', $courses)->where('offers.labels', '!=', '[]')
            // Asked once: where no offer of another course gives a label, nobody's passes are looked through.
            ->whereExists(static fn (Builder $query): Builder => $query->from('offers as giving')->where('giving.labels', '!=', '[]')->whereIntegerNotInRaw('giving.course_id', $courses));
        $found = [];
        foreach (Lists::of(self::among($passes(), 'passes.', $people, $courses)->unionAll($elsewhere)) as $row) {
            $found[(int) $row[0]][(int) $row[1]] = $row;
        }
        $held = $given = [];
        foreach ($found as $person => $rows) {
            if (count($rows) > 1) {
                ksort($rows);
            }
            foreach ($rows as [, , $course, $state, $starts, $ends, $pacedFrom, $offer, $labels]) {
                $pass = new Pass((string) $offer, Value::instant((string) $starts), self::end($ends), PassState::from((string) $state), $pacedFrom === null ? null : Value::instant((string) $pacedFrom));
                $held[$person][(int) $course][] = $pass;
                $gives = $labels === '[]' || $pass->state !== PassState::Active ? [] : json_decode((string) $labels, true);
                foreach (is_array($gives) ? array_filter($gives, is_string(...)) : [] as $label) {
                    $given[$person][] = [(int) $course, new TimedLabel($label, $pass->from, $pass->until)];
                }
            }
        }

        return [$held, $given];
    }

    /**
     * @param  list<int>  $people
     * @param  array<int>  $courses
     * @return array<int, array<int, list<Grant>>> by person and course
     */
    private static function grants(array $people, array $courses): array
    {
        $grants = [];
        $rows = self::among(DB::table('grants'), '', $people, $courses)->orderBy('person_id')->orderBy('id')->select('person_id', 'course_id', 'item_key', 'starts_at', 'ends_at');
        foreach (Lists::of($rows) as [$person, $course, $item, $starts, $ends]) {
            $grants[(int) $person][(int) $course][] = new Grant((string) $item, Value::instant((string) $starts), self::end($ends));
        }

        return $grants;
    }

    /**
     * @param  list<int>  $people
     * @param  array<int>  $courses
     * @return array<int, array<int, array<array-key, int>>> instants by person, course and item
     */
    private static function done(array $people, array $courses): array
    {
        $done = [];
        $dialect = Dialects::spoken();
        // One row for each person and course: handing out one for each lesson that is done would be most of the work.
        $rows = self::among(DB::table('completions'), '', $people, $courses)->groupBy('course_id', 'person_id')
            ->selectRaw("person_id, course_id, {$dialect->lines('item_key')}, {$dialect->lines($dialect->seconds('completed_at'))}");
        foreach (Lists::of($rows) as [$person, $course, $items, $instants]) {
            $done[(int) $person][(int) $course] = array_combine(explode("\n", (string) $items), array_map(intval(...), explode("\n", (string) $instants)));
        }

        return $done;
    }

    /**
     * @param  string  $table  its name and a dot, where there are several
     * @param  list<int>  $people
     * @param  array<int>  $courses
     */
    private static function among(Builder $query, string $table, array $people, array $courses): Builder
    {
        $query->whereIntegerInRaw("{$table}person_id", $people);

        // With a sign before it no index is used for a column.
        return count($courses) > self::FEW_COURSES
            ? $query->whereRaw("+{$table}course_id in (".implode(', ', array_map(intval(...), $courses)).')')
            : $query->whereIntegerInRaw("{$table}course_id", $courses);
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

    private static function end(int|float|string|null $stored): int
    {
        return $stored === null ? Instant::NEVER : Value::instant((string) $stored);
    }
}
