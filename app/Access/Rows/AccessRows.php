<?php

declare(strict_types=1);

namespace App\Access\Rows;

/** The rows of which viewers are made: those there are, or those there were. Instants are seconds since 1970. There may be some of other people among them. */
interface AccessRows
{
    /**
     * @param  list<int>  $people
     * @return iterable<array-key, list<int|float|string|null>> person, label, and the instants from and until which it is held; by person, and as they were made
     */
    public function labels(array $people): iterable;

    /**
     * Those of the courses, and those of others whose offers give labels.
     *
     * @param  list<int>  $people
     * @param  array<int>  $courses
     * @return iterable<array-key, list<int|float|string|null>> person, number, course, state, beginning, end, and instant from which it is paced; key of the offer, and the labels it gives, as JSON; by person, and as they were made
     */
    public function passes(array $people, array $courses): iterable;

    /**
     * @param  list<int>  $people
     * @param  array<int>  $courses
     * @return iterable<array-key, list<int|float|string|null>> person, course, item, beginning and end; by person, and as they were made
     */
    public function grants(array $people, array $courses): iterable;

    /**
     * @param  list<int>  $people
     * @param  array<int>  $courses
     * @return array<int, array<int, array<array-key, int>>> instants by person, course and item
     */
    public function done(array $people, array $courses): array;
}
