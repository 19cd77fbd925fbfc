<?php

declare(strict_types=1);

namespace App\Learning\Progress;

use App\Access\Shelf\CourseShelf;
use App\Access\Viewers;
use App\Learning\LearnerViews;
use App\Models\Person;
use Illuminate\Support\Collection;

/** How far people have come in what is for them, as their own pages count it. A fixed number of queries, however many people. */
final readonly class HowFar
{
    public function __construct(private Viewers $viewers, private LearnerViews $views, private CourseShelf $shelf)
    {
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  array<int, list<int>>  $courses  ids of the courses that are counted, by person
     * @return array<int, array{int, int}> by person: lessons finished, and of how many that are asked for; those without any are left out
     */
    public function of(Collection $people, array $courses): array
    {
        $published = $this->shelf->all();
        $asked = array_values(array_intersect(array_unique(array_merge([], ...array_values($courses))), array_keys($published)));
        $sums = [];
        foreach ($asked === [] ? [] : $this->viewers->in($people, $asked) as $person => $viewers) {
            [$finished, $all] = [0, 0];
            foreach (array_intersect($courses[$person] ?? [], $asked) as $course) {
                [$done, $lessons] = $this->views->published($published[$course][0], $viewers[$course])?->progress() ?? [0, 0];
                [$finished, $all] = [$finished + $done, $all + $lessons];
            }
            if ($all > 0) {
                $sums[$person] = [$finished, $all];
            }
        }

        return $sums;
    }
}
