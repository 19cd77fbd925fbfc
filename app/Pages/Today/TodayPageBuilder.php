<?php

declare(strict_types=1);

namespace App\Pages\Today;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Agenda\AgendaSum;
use App\Checks\CourseFindings;
use App\Words\FindingWords;
use App\Words\Say;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Level;

final readonly class TodayPageBuilder
{
    /** Findings that are told; the others are counted. */
    private const FINDINGS = 6;

    public function __construct(
        private WeekBuilder $week,
        private EndingPasses $ending,
        private WhatChanged $changed,
        private CourseFindings $findings,
        private FirstSteps $first,
        private CourseShelf $shelf,
        private Plans $plans,
        private SchoolClock $clock,
    ) {
    }

    /**
     * @param  ?string  $week  a date in it; null: this one
     * @param  ?list<int>  $only  ids of the courses of whoever edits some, and is told of nothing else; null: of all
     * @param  int  $page  of the week's courses, from 1
     */
    public function page(?string $week, bool $mayRun, ?array $only = null, int $page = 1): TodayPage
    {
        $now = $this->clock->now();
        $asked = $week === null ? null : $this->clock->instant("{$week}T12:00");
        $monday = $this->clock->monday($asked ?? $now);
        [$rows, $counting, $sums, $page, $pages] = $this->week->rows($monday, $only, $page);
        $isThisWeek = $monday === $this->clock->monday($now);
        [$findings, $found] = $this->found($only);

        return new TodayPage(
            $this->clock->words($now), $now,
            Say::text('today_told.week', ['opens' => array_sum(array_map(static fn (AgendaSum $sum): int => $sum->opens, $sums)), 'ends' => array_sum(array_map(static fn (AgendaSum $sum): int => $sum->ends, $sums))]),
            $isThisWeek ? $this->week->next($sums) : null,
            $this->week->days($monday), $rows, $counting,
            (new \DateTimeImmutable($monday))->modify('-7 days')->format('Y-m-d'), (new \DateTimeImmutable($monday))->modify('+7 days')->format('Y-m-d'), $isThisWeek,
            $only === null ? $this->ending->lines() : [], $findings, $found, $this->changed->lines($mayRun, $only), $mayRun ? $this->first->steps() : [], $only === null ? $this->changed->running() : [], $mayRun, $only === null, $page, $pages,
        );
    }

    /**
     * @param  ?list<int>  $only
     * @return array{list<TodayLine>, int} the first of them, and how many there are
     */
    private function found(?array $only): array
    {
        $courses = $only === null ? $this->shelf->courses() : array_intersect_key($this->shelf->courses(), array_flip($only));
        $all = [];
        foreach ($this->findings->live(array_values($courses)) as $id => $findings) {
            foreach ($this->findings->notAccepted($courses[$id], $findings) as $finding) {
                $all[($this->shelf->isLive($id) ? 0 : 10) + self::weight($finding)][] = [$finding, $courses[$id]];
            }
        }
        ksort($all);
        $all = array_merge([], ...$all);
        $lines = [];
        foreach ($all as [$finding, $course]) {
            // Rules are read of those courses alone of which something is told.
            $rules = count($lines) < self::FINDINGS ? $this->plans->live($course)?->course : null;
            if ($rules !== null) {
                $lines[] = new TodayLine((new FindingWords($rules, $this->clock->words(...)))->what($finding), $this->shelf->title($course->id), Say::text('today_told.show'), route('keep.checks', $course, false));
            }
        }

        return [$lines, count($all)];
    }

    /** The lower the sooner it is told, of what is open to anybody at all. */
    private static function weight(Finding $finding): int
    {
        return (int) array_search($finding->kind->level(), Level::cases(), true);
    }
}
