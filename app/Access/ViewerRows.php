<?php

declare(strict_types=1);

namespace App\Access;

use App\Access\Rows\AccessRows;
use App\Access\Rows\PresentRows;
use Generator;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Grant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\TimedLabel;
use SilentKeep\Core\Viewing\Viewer;

/**
 * Makes viewers of rows, one person after another, for each thousand people at once, however many courses, and no more of
 * their rows in memory. Rows come as lists: an object for each would take longer than deciding for them.
 */
final readonly class ViewerRows
{
    private const GROUP = 1000;

    public function __construct(private AccessRows $rows = new PresentRows)
    {
    }

    /**
     * @param  array<int, bool|list<int>>  $people  whether they are staff, or in which courses, by id
     * @param  array<int>  $courses  ids
     * @param  ?array<int, list<int>>  $theirs  at which of them somebody looks, by person; null: each at all of them
     * @return Generator<int, array<int, Viewer>> by person, in the order of their ids, and by course
     */
    public function each(array $people, array $courses, ?array $theirs = null): Generator
    {
        ksort($people);
        foreach (array_chunk($people, self::GROUP, preserve_keys: true) as $some) {
            yield from $this->group($some, $courses, $theirs);
        }
    }

    /**
     * @param  array<int, bool|list<int>>  $people
     * @param  array<int>  $courses
     * @param  ?array<int, list<int>>  $theirs
     * @return Generator<int, array<int, Viewer>>
     */
    private function group(array $people, array $courses, ?array $theirs): Generator
    {
        $ids = array_keys($people);
        [$lasting, $timed] = $this->labels($ids);
        [$passes, $given] = $this->passes($ids, $courses);
        $grants = $this->grants($ids, $courses);
        $done = $this->rows->done($ids, $courses);
        foreach ($people as $person => $staff) {
            $viewers = [];
            foreach ($theirs === null ? $courses : $theirs[$person] ?? [] as $course) {
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
    private function labels(array $people): array
    {
        $lasting = $timed = [];
        foreach ($this->rows->labels($people) as [$person, $label, $starts, $ends]) {
            if ($starts === null && $ends === null) {
                $lasting[(int) $person][] = (string) $label;
            } else {
                $timed[(int) $person][] = new TimedLabel((string) $label, (int) $starts, $ends === null ? Instant::NEVER : (int) $ends);
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
    private function passes(array $people, array $courses): array
    {
        $held = $given = [];
        foreach ($this->rows->passes($people, $courses) as [$person, , $course, $state, $starts, $ends, $pacedFrom, $offer, $labels]) {
            $pass = new Pass((string) $offer, (int) $starts, $ends === null ? Instant::NEVER : (int) $ends, PassState::from((string) $state), $pacedFrom === null ? null : (int) $pacedFrom);
            $held[(int) $person][(int) $course][] = $pass;
            $gives = $labels === '[]' || $pass->state !== PassState::Active ? [] : json_decode((string) $labels, true);
            foreach (is_array($gives) ? array_filter($gives, is_string(...)) : [] as $label) {
                $given[(int) $person][] = [(int) $course, new TimedLabel($label, $pass->from, $pass->until)];
            }
        }

        return [$held, $given];
    }

    /**
     * @param  list<int>  $people
     * @param  array<int>  $courses
     * @return array<int, array<int, list<Grant>>> by person and course
     */
    private function grants(array $people, array $courses): array
    {
        $grants = [];
        foreach ($this->rows->grants($people, $courses) as [$person, $course, $item, $starts, $ends]) {
            $grants[(int) $person][(int) $course][] = new Grant((string) $item, (int) $starts, $ends === null ? Instant::NEVER : (int) $ends);
        }

        return $grants;
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
}
