<?php

declare(strict_types=1);

/*
 * The deep course of bin/bench: 205 items in three levels, a release of its own for every lesson (some ninety steps), tiers
 * and labels that hide, prerequisites anywhere before; people with much done. Beside it a bare loop that does the same
 * work from the same plain rows, done, labels and tier included.
 */

use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

const DEEP_TIERS = ['deckhand', 'shipwright', 'master'];

/** @return array<string, mixed> the plan document; the same for the same shift. The last lesson may be for those alone who have done the first */
function deepDocument(int $shift = 0, bool $asksWhatIsDone = false, bool $letsObserversIn = false): array
{
    mt_srand(7);
    $modules = $schedule = [];
    $before = [];
    for ($m = 0; $m < 12; $m++) {
        $lessons = [];
        for ($l = 0; $l < 16; $l++) {
            $key = "m{$m}-l{$l}";
            $lesson = ['key' => $key, 'kind' => 'lesson'];
            if (mt_rand(1, 100) <= 31) {
                $tiers = DEEP_TIERS;
                unset($tiers[mt_rand(0, 2)]);
                $lesson['tiers'] = mt_rand(0, 1) === 0 ? [array_values($tiers)[mt_rand(0, 1)]] : array_values($tiers);
                $lesson['when_closed'] = 'hide';
            }
            if (mt_rand(1, 100) <= 12) {
                $lesson['only'] = ['label' => 'label-'.mt_rand(1, 8)];
                $lesson['when_closed'] = 'hide';
            }
            if ($before !== [] && mt_rand(1, 100) <= 30) {
                $lesson['after'] = ['all' => [$before[mt_rand(0, count($before) - 1)]]];
            }
            $schedule[$key] = ['opens' => ['rule' => 'after_start', 'days' => mt_rand(0, 90) + ($m === 3 ? $shift : 0)]];
            $before[] = $key;
            $lessons[] = $lesson;
        }
        if ($asksWhatIsDone && $m === 11) {
            $lessons[15]['only'] = ['done' => 'm0-l0'];
        }
        $modules[] = ['key' => "m{$m}", 'kind' => 'module', 'items' => $lessons];
    }

    return [
        'format' => 'silent-keep.plan/1', 'school' => ['zone' => 'Europe/Oslo'],
        'offers' => array_map(static fn (string $tier): array => ['key' => $tier, 'course' => 'c', 'tier' => $tier, 'plan' => 'own'], DEEP_TIERS),
        'courses' => [['key' => 'c', 'state' => 'live', 'entry' => 'offer', ...($letsObserversIn ? ['observer_door' => ['open' => true, 'default' => true, 'follow' => true]] : []), 'tiers' => DEEP_TIERS, 'main_plan' => 'own', 'plans' => ['own' => $schedule], 'items' => [['key' => 'whole', 'kind' => 'module', 'items' => $modules]]]],
    ];
}

function deepPlan(int $shift = 0, bool $asksWhatIsDone = false, bool $letsObserversIn = false): Plan
{
    return PlanReader::fromJson((string) json_encode(deepDocument($shift, $asksWhatIsDone, $letsObserversIn)));
}

/**
 * Learners as rows of plain arrays, as they come from a database.
 *
 * @return list<array{tier: string, from: int, until: int, labels: list<string>, done: array<string, int>}>
 */
function deepRows(int $count, int $now, int $seed = 11): array
{
    mt_srand($seed);
    $lessons = [];
    for ($i = 0; $i < 192; $i++) {
        $lessons[] = 'm'.intdiv($i, 16).'-l'.$i % 16;
    }
    $rows = [];
    for ($p = 0; $p < $count; $p++) {
        $from = $now - mt_rand(0, 110 * 86400);
        $labels = $done = [];
        for ($l = mt_rand(0, 3); $l > 0; $l--) {
            $labels['label-'.mt_rand(1, 8)] = true;
        }
        $share = mt_rand(0, 192);
        foreach ($lessons as $lesson) {
            if (mt_rand(1, 192) <= $share) {
                $done[$lesson] = $from + mt_rand(0, max(0, $now - $from));
            }
        }
        $rows[] = ['tier' => DEEP_TIERS[mt_rand(0, 2)], 'from' => $from, 'until' => $from + mt_rand(30, 180) * 86400, 'labels' => array_keys($labels), 'done' => $done];
    }

    return $rows;
}

/** @param  array{tier: string, from: int, until: int, labels: list<string>, done: array<string, int>}  $row */
function deepViewer(array $row): Viewer
{
    return new Viewer(signedIn: true, labels: $row['labels'], passes: [new Pass($row['tier'], $row['from'], $row['until'])], done: $row['done']);
}

/**
 * A loop over the items for each row, as tight as it can be written by hand: the row's done, labels and tier made ready as
 * it goes, then of every item its release, tier, label, what comes first, and whether it hides.
 *
 * @param  list<array{tier: string, from: int, until: int, labels: list<string>, done: array<string, int>}>  $rows
 * @return Closure(): int how many are open
 */
function deepLoop(array $rows, int $now): Closure
{
    $position = $offset = $needs = $first = $closed = [];
    // A bit for each tier and label; of a missing tier or label somebody's bits have none in common with an item's.
    $tierBits = array_combine(DEEP_TIERS, [1, 2, 4]);
    $labelBits = array_combine(array_map(static fn (int $l): string => "label-{$l}", range(1, 8)), array_map(static fn (int $l): int => 4 << $l, range(1, 8)));
    $add = static function (array $item, array $schedule) use (&$add, &$position, &$offset, &$needs, &$first, &$closed, $tierBits, $labelBits): void {
        $position[$item['key']] = count($offset);
        $offset[] = ($schedule[$item['key']]['opens']['days'] ?? 0) * 86400;
        // What somebody must not lack: all tiers but those that the item is for, the label it asks for.
        $tiers = array_sum(array_map(static fn (string $of): int => $tierBits[$of], $item['tiers'] ?? DEEP_TIERS));
        $needs[] = (7 & ~$tiers) | ($labelBits[$item['only']['label'] ?? ''] ?? 0);
        $first[] = isset($item['after']) ? $position[$item['after']['all'][0]] : -1;
        $closed[] = isset($item['when_closed']) ? 'h' : 'l';
        foreach ($item['items'] ?? [] as $inside) {
            $add($inside, $schedule);
        }
    };
    $course = deepDocument()['courses'][0];
    $add($course['items'][0], $course['plans']['own']);
    $count = count($offset);

    return static function () use ($rows, $now, $position, $offset, $needs, $first, $closed, $count, $tierBits, $labelBits): int {
        $opens = 0;
        foreach ($rows as $row) {
            $done = [];
            foreach ($row['done'] as $key => $since) {
                if ($since <= $now) {
                    $done[$position[$key]] = true;
                }
            }
            $lacks = 2047 ^ 7 | $tierBits[$row['tier']];
            foreach ($row['labels'] as $label) {
                $lacks ^= $labelBits[$label];
            }
            $age = $row['from'] <= $now && $now < $row['until'] ? $now - $row['from'] : -1;
            $states = '';
            for ($i = 0; $i < $count; $i++) {
                if ($offset[$i] <= $age && ($needs[$i] & $lacks) === 0
                    && (($f = $first[$i]) < 0 || isset($done[$f]) || ($needs[$f] & $lacks) !== 0 || isset($done[$i]))) {
                    $states .= 'o';
                } else {
                    $states .= $closed[$i];
                }
            }
            $opens += substr_count($states, 'o');
        }

        return $opens;
    };
}
