<?php

declare(strict_types=1);

/*
 * The plain course of bin/bench: modules of seven lessons, three offers, two release plans, some in order; people with
 * few things done. Beside it the least that any decision on a pass has to do, on integers worked out beforehand.
 */

use SilentKeep\Core\Foresight\Person;
use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/** A course of modules with seven lessons each: tiers, a bonus for a label, release offsets, prerequisites, some in order. */
function plainPlan(int $items, int $shift = 0): Plan
{
    $modules = $weekly = $monthly = [];
    for ($m = 0; $m * 8 < $items; $m++) {
        $lessons = [];
        for ($l = 1; $l < 8; $l++) {
            $key = "m{$m}-l{$l}";
            $lesson = ['key' => $key, 'kind' => 'lesson'];
            if ($l === 5) {
                $lesson['tiers'] = ['gold'];
            }
            if ($l === 6 && $m % 3 === 0) {
                $lesson['only'] = ['label' => 'bonus'];
                $lesson['when_closed'] = 'hide';
            }
            if ($l === 4) {
                $lesson['after'] = ['at_least' => 2, 'of' => ["m{$m}-l1", "m{$m}-l2", "m{$m}-l3"]];
            }
            $lessons[] = $lesson;
        }
        $module = ['key' => "m{$m}", 'kind' => 'module', 'items' => $lessons, 'in_order' => $m % 2 === 0];
        if ($m % 5 === 4) {
            $module['after'] = ['all' => ['m'.($m - 1)]];
        }
        $modules[] = $module;
        $weekly["m{$m}"] = ['opens' => ['rule' => $m % 4 === 3 ? 'after_start' : 'after_previous', 'days' => $m % 4 === 3 ? 7 * $m : 7 + ($m === 3 ? $shift : 0), 'time' => '09:00']];
        $monthly["m{$m}"] = ['opens' => ['rule' => 'after_start', 'days' => 5 * $m + ($m === 3 ? $shift : 0)]];
    }
    $weekly['m3']['opens']['days'] += $shift;
    $weekly['m1']['closes'] = ['rule' => 'after_open', 'days' => 300];

    return PlanReader::fromJson((string) json_encode([
        'format' => 'silent-keep.plan/1', 'school' => ['zone' => 'Europe/Oslo'],
        'offers' => [
            ['key' => 'silver', 'course' => 'c', 'tier' => 'silver', 'plan' => 'weekly'],
            ['key' => 'gold', 'course' => 'c', 'tier' => 'gold', 'plan' => 'weekly'],
            ['key' => 'slow', 'course' => 'c', 'tier' => 'gold', 'plan' => 'monthly'],
        ],
        'courses' => [['key' => 'c', 'state' => 'live', 'entry' => 'offer', 'tiers' => ['silver', 'gold'], 'main_plan' => 'weekly', 'plans' => ['weekly' => $weekly, 'monthly' => $monthly], 'items' => $modules]],
    ]));
}

/** @return list<Person> holders whose passes began in the last year, with the first lessons done */
function plainPeople(int $count, int $now, int $seed = 42): array
{
    mt_srand($seed);
    $people = [];
    for ($i = 0; $i < $count; $i++) {
        $from = $now - mt_rand(0, 365 * 86400);
        $done = [];
        for ($d = mt_rand(0, 20); $d > 0; $d--) {
            $done['m'.intdiv($d, 7).'-l'.($d % 7 + 1)] = $from + 3600 * $d;
        }
        $people[] = new Person("p{$i}", new Viewer(
            signedIn: true,
            labels: $i % 4 === 0 ? ['bonus'] : [],
            passes: [new Pass(['silver', 'gold', 'slow'][$i % 3], $from, $i % 5 === 0 ? $from + 400 * 86400 : Instant::NEVER)],
            done: $done,
        ));
    }

    return $people;
}

/**
 * The plain lower bound: a release is an offset from the pass's beginning, not before its parent's; then closing,
 * tier, label, and whether the one before is done.
 */
function plainLoop(int $passes, int $items, int $now): Closure
{
    $offset = $closing = $tier = $label = $parent = $before = $done = [];
    for ($i = 0; $i < $items; $i++) {
        $offset[] = $i % 8 === 0 ? ($i * 7919) % 400 * 86400 : 0;
        $closing[] = PHP_INT_MAX;
        $tier[] = $i % 8 === 5 ? 2 : 3;
        $label[] = $i % 24 === 6 ? 1 : 0;
        $parent[] = $i % 8 === 0 ? -1 : $i - $i % 8;
        $before[] = $i % 16 > 1 && $i % 16 < 8 ? $i - 1 : -1;
        $done[] = $i < 20 ? 1 : 0;
    }

    return static function () use ($passes, $items, $now, $offset, $closing, $tier, $label, $parent, $before, $done): void {
        $open = $release = array_fill(0, $items, 0);
        for ($p = 0; $p < $passes; $p++) {
            $start = $now - $p * 8000;
            $hasTier = $p % 2 + 1;
            $hasLabel = $p % 4 === 0 ? 1 : 0;
            for ($i = 0; $i < $items; $i++) {
                $at = $start + $offset[$i];
                $above = $parent[$i] < 0 ? $start : $release[$parent[$i]];
                $release[$i] = $at > $above ? $at : $above;
                $open[$i] = $release[$i] <= $now && $now < $closing[$i] && ($tier[$i] & $hasTier) !== 0
                    && ($label[$i] & ~$hasLabel) === 0 && ($before[$i] < 0 || $done[$before[$i]] === 1) ? 1 : 0;
            }
        }
    };
}
