<?php

declare(strict_types=1);

namespace App\Ledger\Changes;

use App\Counting\Counts;
use App\Counting\CountsWhom;
use App\Ledger\Past\Onlooker;
use App\Models\Course;
use App\Models\PeopleCount;
use Illuminate\Database\Query\Builder;
use SilentKeep\Core\Foresight\Comparing\Between;
use SilentKeep\Core\Foresight\Comparing\Change;

/**
 * Who gained, lost, or is let in sooner or later at a course than was foreseen, between two instants, and by what: counted in the queue
 * on everybody who held something of it, by the rules and by what was known then.
 */
final readonly class WhatChanged implements CountsWhom
{
    /** How far openings and endings are foreseen after the end, as rehearsals do. */
    public const DAYS = 365;

    /** Seconds: what was, stays so. A count that was cleaned away is made again. */
    private const HOLDS = 366 * 86400;

    public function __construct(private Counts $counts, private RulesOverTime $rules, private Holding $holding)
    {
    }

    /** @param  int  $until  at the latest now */
    public function of(Course $course, int $from, int $until): PeopleCount
    {
        return $this->counts->of($course, "changed {$from} {$until}", Holding::STAMP, self::HOLDS, self::class);
    }

    /** @return array<array-key, Change> for one alone, by item */
    public function on(Course $course, Onlooker $looker, int $from, int $until): array
    {
        return (new Between)->of((new Stages($this->rules->of($course, $until), $course->id))->of([], $looker, $from, $until), $until, $until + self::DAYS * 86400);
    }

    public function whom(string $what, Course $course): Builder
    {
        return $this->holding->of($course);
    }

    public function look(PeopleCount $count, Course $course, array $people): array
    {
        [, $from, $until] = array_map(intval(...), explode(' ', $count->what));
        $tally = ChangeTally::from($count->result);
        $watching = ChangeTally::observersFrom($count->result);
        $stages = new Stages($this->rules->of($course, $until), $course->id);
        $between = new Between;
        foreach (Holding::lookers($people, $course, $until) as [$looker, $entries]) {
            ($looker->observed === null ? $tally : $watching)->add($looker, $between->of($stages->of($entries, $looker, $from, $until), $until, $until + self::DAYS * 86400));
        }

        return [...$tally->toArray(), 'observers' => $watching->toArray()];
    }
}
