<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Dates;

use SilentKeep\Core\Compiled\CourseMasks;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Deciding\PreviousItems;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\AtOnce;
use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Rules\Closing;
use SilentKeep\Core\Rules\Delay;
use SilentKeep\Core\Rules\Opening;
use SilentKeep\Core\Rules\PlanEntry;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Offer;

/** Numbers the steps of an offer's release plan in reading order: one for all items that have the same rule and count from the same. */
final class StepNumbers
{
    /** Whether they may be others for an offer that covers something else. */
    public readonly bool $dependOnCoverage;

    /** @var list<int> the release step of each item */
    public array $releaseStep = [];

    /** @var list<int> the closing step of each item */
    public array $closingStep = [];

    /** @var array<int, array{int, int, ?int, ?Delay, Opening}> by release step: that of what it stands in, the one from which it counts, its date or how long after, the rule itself */
    private array $openings = [];

    /** @var array<string, int> release step by what tells it */
    private array $known = [];

    /** @var list<array{Closing, int, int}> */
    private array $closings = [];

    /** @var array<string, int> closing step by what tells it */
    private array $knownClosings = [];

    /** @var list<bool> of each release step: whether it never comes */
    private array $never = [false];

    public readonly Steps $steps;

    public function __construct(CourseMasks $course, Offer $offer, string $covered)
    {
        $entries = $offer->plan->entries ?? [];
        // Only where something counts from the one before need it be remembered.
        $depths = array_intersect_key($course->outline->depth, array_filter($entries, static fn (PlanEntry $entry): bool => $entry->opens->countsFromPrevious()));
        $counting = array_fill_keys($depths, true);
        $this->dependOnCoverage = $counting !== [];
        $previous = $counting === [] ? null : $course->prepared->previousItems($offer);
        foreach ($course->outline->items as $at => $item) {
            $above = $course->outline->parent[$at];
            $releaseAbove = $above === Outline::TOP ? 0 : $this->releaseStep[$above];
            $closingAbove = $above === Outline::TOP ? 0 : $this->closingStep[$above];
            $entry = $entries[$at] ?? null;
            $this->releaseStep[] = $entry === null || $entry->opens instanceof AtOnce ? $releaseAbove : $this->release($at, $entry->opens, $releaseAbove, $previous);
            $this->closingStep[] = $entry?->closes === null ? $closingAbove : $this->closing($at, $entry->closes, $closingAbove);
            if ($previous !== null && isset($counting[$course->outline->depth[$at]]) && $item->kind !== Kind::Board && ! $course->outline->draftOnPath[$at] && $covered[$at] === Mask::IN && ! $this->never[$this->releaseStep[$at]]) {
                $previous->add($at);
            }
        }
        $this->steps = $this->inOrder($course);
    }

    private function release(int $at, Opening $rule, int $above, ?PreviousItems $previous): int
    {
        $before = $rule->countsFromPrevious() ? $previous?->of($at) : null;
        $base = $before === null ? 0 : $this->releaseStep[$before];
        $date = $rule->dated();
        $delay = $rule->delay();
        $told = implode(',', match (true) {
            $date !== null => [$above, 'on', $date],
            $delay !== null => [$above, $base, $delay->days, $delay->time, $delay->weekday],
            default => [$above, $base, serialize($rule)],
        });
        if (! isset($this->known[$told])) {
            $this->known[$told] = count($this->never);
            $this->openings[count($this->never)] = [$above, $base, $date, $delay, $rule];
            $this->never[] = $this->never[$above] || $date === Instant::NEVER;
        }

        return $this->known[$told];
    }

    private function closing(int $at, Closing $rule, int $above): int
    {
        $release = $this->releaseStep[$at];
        $told = implode(',', $rule instanceof ClosesOn ? ['on', $rule->at, $above] : [serialize($rule), $release, $above]);
        if (! isset($this->knownClosings[$told])) {
            $this->closings[] = [$rule, $release, $above];
            $this->knownClosings[$told] = count($this->closings);
        }

        return $this->knownClosings[$told];
    }

    /** The steps of the two ladders first, each in the order in which they come, then the others. */
    private function inOrder(CourseMasks $course): Steps
    {
        [$plain, $timed] = $this->ladders();
        $dated = $this->dated();
        $weekly = $this->weekly($plain);
        $others = array_diff_key($this->openings, $plain, $timed, $dated, $weekly);
        $renumbered = array_flip([0, ...array_keys($plain), ...array_keys($timed), ...array_keys($dated), ...array_keys($weekly), ...array_keys($others)]);
        $this->releaseStep = array_map(static fn (int $step): int => $renumbered[$step], $this->releaseStep);
        $rules = [];
        foreach ($this->openings as $step => [$above, $base, $date, $delay, $rule]) {
            $rules[$step] = [$renumbered[$step], $renumbered[$above], $renumbered[$base], $date ?? ($delay === null ? $rule : null), $delay->days ?? 0, $delay?->time, $delay?->weekday];
        }

        return new Steps(
            $course->prepared->plan->zone,
            array_values($plain), array_values($timed), array_values($dated), self::byWeekday($weekly), array_values($rules), array_values(array_intersect_key($rules, $others)),
            new ClosingSteps($course->prepared->plan->zone, array_map(static fn (array $of): array => [$of[0], $renumbered[$of[1]], $of[2]], $this->closings)),
        );
    }

    /**
     * What follows from a pass's beginning alone, however many steps lie between, as long as no clock change moves one of them: seconds
     * after the beginning, or after the midnight before it, by step. Of one later step and what it stands in the later one counts,
     * which is known beforehand only where both are on the same ladder.
     *
     * @return array{array<int, int>, array<int, int>} ascending
     */
    private function ladders(): array
    {
        $plain = [0 => 0];
        $timed = [];
        foreach ($this->openings as $step => [$above, $base, $date, $delay]) {
            if ($date !== null || $delay === null || $delay->weekday !== null) {
                continue;
            }
            if ($delay->time === null) {
                if (isset($plain[$base], $plain[$above])) {
                    $plain[$step] = max($plain[$above], $plain[$base] + $delay->days * 86400);
                }

                continue;
            }
            $midnight = isset($timed[$base]) ? $timed[$base] - $timed[$base] % 86400 : $plain[$base] ?? null;
            if ($midnight !== null && ($above === 0 || isset($timed[$above]))) {
                $timed[$step] = max($timed[$above] ?? 0, $midnight + $delay->days * 86400 + $delay->time);
            }
        }
        unset($plain[0]);
        asort($plain);
        asort($timed);

        return [$plain, $timed];
    }

    /** @return array<int, int> instants that are the same for every pass, by step, ascending */
    private function dated(): array
    {
        $dated = [];
        foreach ($this->openings as $step => [$above, , $date]) {
            if ($date !== null && ($above === 0 || isset($dated[$above]))) {
                $dated[$step] = max($date, $dated[$above] ?? $date);
            }
        }
        asort($dated);

        return $dated;
    }

    /**
     * @param  array<int, list<int>>  $weekly  by step
     * @return list<Ladder> by weekday
     */
    private static function byWeekday(array $weekly): array
    {
        return $weekly === [] ? [] : array_map(static fn (int $weekday): Ladder => new Ladder(array_column($weekly, $weekday), count($weekly)), range(0, 6));
    }

    /**
     * What comes on a weekday at a pass's own time of day, as long as no clock change moves a step: after how many seconds, for each
     * weekday on which it may begin.
     *
     * @param  array<int, int>  $plain
     * @return array<int, list<int>> by step, seven each, Monday first
     */
    private function weekly(array $plain): array
    {
        /** @var array<int, list<int>> $weekly */
        $weekly = [];
        $plain[0] = 0;
        foreach ($this->openings as $step => [$above, $base, $date, $delay]) {
            if ($date !== null || $delay === null || $delay->time !== null || isset($plain[$step])) {
                continue;
            }
            $from = $weekly[$base] ?? (isset($plain[$base]) ? array_fill(0, 7, $plain[$base]) : null);
            $notBefore = $weekly[$above] ?? (isset($plain[$above]) ? array_fill(0, 7, $plain[$above]) : null);
            if ($from === null || $notBefore === null) {
                continue;
            }
            $seconds = [];
            for ($weekday = 0; $weekday < 7; $weekday++) {
                $since = $from[$weekday] ?? 0;
                $days = intdiv($since, 86400) + $delay->days;
                $ahead = $delay->weekday === null ? 0 : (($delay->weekday - 1 - $weekday - $days) % 7 + 7) % 7;
                $seconds[] = max($notBefore[$weekday] ?? 0, ($days + $ahead) * 86400);
            }
            $weekly[$step] = $seconds;
        }

        return $weekly;
    }
}
