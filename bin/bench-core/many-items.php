<?php

declare(strict_types=1);

/* Courses of many items with every kind of rule, for what is measured on them. */

/**
 * Modules of nine lessons with every kind of rule.
 *
 * @return array{list<array<string, mixed>>, array<string, mixed>} the items, and when they open
 */
function manyItems(int $rows): array
{
    $modules = $weekly = [];
    for ($m = 0; $m * 10 < $rows; $m++) {
        $lessons = [];
        for ($l = 1; $l < 10; $l++) {
            $key = "m{$m}-l{$l}";
            $lessons[] = ['key' => $key, 'kind' => 'lesson', 'title' => "Lesson {$l} of module {$m}, under a title of some length"]
                + ($l === 3 ? ['tiers' => ['gold']] : []) + ($l === 5 ? ['after' => ['all' => ["m{$m}-l4"]]] : [])
                + ($l === 6 && $m % 3 === 0 ? ['only' => ['label' => 'bonus'], 'when_closed' => 'hide'] : []) + ($l === 1 && $m % 4 === 0 ? ['sample' => true] : [])
                + ($l === 7 ? ['guests' => true] : []);
            if ($l === 8) {
                $weekly[$key] = ['opens' => ['rule' => 'after_previous', 'days' => 2, 'time' => '09:00']];
            }
        }
        $modules[] = ['key' => "m{$m}", 'kind' => 'module', 'title' => "Module {$m}", 'in_order' => $m % 2 === 0, 'items' => $lessons];
        $weekly["m{$m}"] = ['opens' => ['rule' => 'after_start', 'days' => 7 * $m, 'time' => '09:00']];
    }

    return [$modules, $weekly];
}

/**
 * @param  bool  $besides  whether there is a course of one lesson and one without any besides
 * @return string a plan of many courses, each let anybody in to its samples, and sold by an offer of its own
 */
function listPlan(int $courses, int $items, bool $besides = false): string
{
    [$modules, $weekly] = manyItems($items);
    $plan = ['format' => 'silent-keep.plan/1', 'school' => ['zone' => 'Europe/Oslo', 'guests' => true], 'offers' => [], 'courses' => []];
    for ($n = 0; $n < $courses; $n++) {
        $plan['offers'][] = ['key' => "of-list-{$n}", 'course' => "list-{$n}", 'title' => "A pass of course {$n}", 'lasts' => ['days' => 365], 'plan' => 'weekly'];
        $plan['courses'][] = ['key' => "list-{$n}", 'title' => "Course {$n} of many", 'state' => 'live', 'entry' => 'offer', 'tiers' => ['gold'], 'main_plan' => 'weekly', 'plans' => ['weekly' => $weekly], 'items' => $modules];
    }

    if ($besides) {
        $plan['offers'][] = ['key' => 'of-short', 'course' => 'short', 'title' => 'A pass', 'lasts' => ['days' => 365]];
        $plan['courses'][] = ['key' => 'short', 'title' => 'A short course', 'state' => 'live', 'entry' => 'offer', 'items' => [['key' => 'l', 'kind' => 'lesson', 'title' => 'A lesson']]];
        $plan['courses'][] = ['key' => 'empty', 'title' => 'An empty course', 'state' => 'live', 'entry' => 'offer', 'items' => []];
    }

    return (string) json_encode($plan);
}
