<?php

declare(strict_types=1);

namespace App\Learning\Progress;

use App\Access\Kept;
use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Access\Viewers;
use App\Models\Person;
use Illuminate\Support\Collection;
use SilentKeep\Core\Foresight\ProgressCount;
use SilentKeep\Core\Viewing\Viewer;

/**
 * How far people have come in what is for them, as their own pages count it. A fixed number of queries, however many people; what was
 * counted is kept until something in it may be another.
 */
final readonly class HowFar
{
    /** People whose numbers leave the same rest share a place, the last one has it: so what is kept never grows beyond it. */
    private const PLACES = 4096;

    /** After so many courses the memory they took is freed. */
    private const LET_GO = 20;

    /** So many people are on one page. */
    private const PAGE = 200;

    public function __construct(private Viewers $viewers, private Plans $plans, private CourseShelf $shelf, private Kept $kept, private SchoolClock $clock)
    {
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  array<int, list<int>>  $courses  ids of the courses that are counted, by person
     * @return array<int, array{int, int}> by person: lessons finished, and of how many that are asked for; those without any are left out
     */
    public function of(Collection $people, array $courses): array
    {
        $published = $this->shelf->courses();
        $asked = array_values(array_intersect(array_unique(array_merge([], ...array_values($courses))), array_keys($published)));
        if ($asked === []) {
            return [];
        }
        $sums = count($people) > self::PAGE ? $this->courseByCourse($people, $courses, $asked) : $this->personByPerson($people, $courses, $asked);

        return array_filter($sums, static fn (array $sum): bool => $sum[1] > 0);
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  array<int, list<int>>  $courses
     * @param  list<int>  $asked
     * @return array<int, array{int, int}>
     */
    private function personByPerson(Collection $people, array $courses, array $asked): array
    {
        $stamps = $this->plans->stamps();
        $sums = [];
        $published = array_flip($asked);
        $theirs = array_map(static fn (array $ids): array => array_values(array_filter($ids, static fn (int $id): bool => isset($published[$id]))), $courses);
        foreach ($this->viewers->inTheirs($people, $theirs) as $person => $viewers) {
            $counted = $this->counted($person, $viewers, $stamps);
            $sums[$person] = [array_sum(array_map(static fn (CountedProgress $one): int => $one->finished, $counted)), array_sum(array_map(static fn (CountedProgress $one): int => $one->lessons, $counted))];
        }

        return $sums;
    }

    /**
     * Of very many people no more than one course is in memory at once, and nothing is kept: nobody asks for them all again soon.
     *
     * @param  Collection<int, Person>  $people
     * @param  array<int, list<int>>  $courses
     * @param  list<int>  $asked
     * @return array<int, array{int, int}>
     */
    private function courseByCourse(Collection $people, array $courses, array $asked): array
    {
        $now = $this->clock->now();
        $sums = $in = [];
        foreach ($this->viewers->inTheirs($people, $courses) as $person => $viewers) {
            foreach ($viewers as $course => $viewer) {
                $in[$course][$person] = $viewer;
            }
        }
        foreach ($asked as $place => $id) {
            $course = $this->shelf->courses()[$id];
            $decider = $this->plans->live($course);
            if ($decider === null) {
                continue;
            }
            $count = new ProgressCount($this->plans->compiled($decider));
            foreach ($in[$id] ?? [] as $person => $viewer) {
                [$finished, $lessons] = $count->of($viewer, $now);
                $sums[$person] = [($sums[$person][0] ?? 0) + $finished, ($sums[$person][1] ?? 0) + $lessons];
            }
            unset($in[$id]);
            $this->plans->letGo($course);
            // What is compiled holds itself in circles: large, but of so few objects that PHP would not look for them yet.
            if ($place % self::LET_GO === 0) {
                gc_collect_cycles();
            }
        }

        return $sums;
    }

    /**
     * @param  array<int, Viewer>  $viewers  the person, by the course's id
     * @param  array<int, string>  $stamps  of all courses
     * @return array<int, CountedProgress> by the course's id
     */
    private function counted(int $person, array $viewers, array $stamps): array
    {
        $now = $this->clock->now();
        $wanted = [];
        foreach ($viewers as $course => $viewer) {
            $wanted[$course] = ($stamps[$course] ?? '').hash('xxh128', serialize($viewer));
        }

        return $wanted === [] ? [] : $this->kept->all('progress-'.$person % self::PLACES, CountedProgress::class, $wanted, fn (array $missing): array => $this->count($missing, $viewers, $now), static fn (CountedProgress $one): bool => $one->holdsAt($now));
    }

    /**
     * @param  list<int>  $courses
     * @param  array<int, Viewer>  $viewers
     * @return array<int, CountedProgress>
     */
    private function count(array $courses, array $viewers, int $now): array
    {
        $counted = [];
        foreach ($courses as $course) {
            $decider = $this->plans->live($this->shelf->courses()[$course]);
            if ($decider !== null) {
                $answer = $this->plans->ask($decider, $viewers[$course], $now);
                [$finished, $lessons] = $answer->progress();
                $counted[$course] = new CountedProgress($finished, $lessons, $now, $answer->holdsUntil());
            }
        }

        return $counted;
    }
}
