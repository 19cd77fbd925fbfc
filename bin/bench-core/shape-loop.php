<?php

declare(strict_types=1);

/*
 * The bare loop beside a random shape: all that the course asks of its learners, as it is written by hand for such courses, from plain arrays. What
 * it tells of learners is what the core tells; of guests, and who holds nothing, it goes over all items once.
 */

use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/** The loop: of every item its tier, its condition, its dates, what comes first, and whether it hides; of every pass, and then what any of them opens. */
final class ShapeLoop
{
    private readonly int $count;

    /** @param  int  $foot  what the shape's dates count from: 0 the beginning, 1 the midnight before it, 2 the beginning by its weekday, 3 nothing, they are dates */
    public function __construct(private readonly ShapeTable $table, private readonly SchoolZone $zone, private readonly int $foot)
    {
        $this->count = count($table->above);
    }

    public function states(Viewer $viewer, int $now): string
    {
        $table = $this->table;
        $learner = $viewer->observes ?? $viewer;
        $done = [];
        foreach ($learner->done as $key => $since) {
            if ($since <= $now) {
                $done[$table->position[$key]] = true;
            }
        }
        $labels = 0;
        foreach ($learner->labels as $label) {
            $labels |= ShapeTable::labelBit($label);
        }
        foreach ($learner->timedLabels as $label) {
            if ($label->from <= $now && $now < $label->until) {
                $labels |= ShapeTable::labelBit($label->label);
            }
        }
        $open = str_repeat('-', $this->count);
        foreach ($learner->passes as $pass) {
            if ($pass->from <= $now && $now < $pass->until) {
                $opens = $this->opens($pass, $labels | ShapeTable::tierBit($pass->offer), $done, $now);
                // A letter that is o in one of them is o: "-" is 0x2d, "o" 0x6f.
                $open |= $opens;
            }
        }
        if ($learner->passes === []) {
            $open = $this->opens(new Pass('', $now, $now), $labels, $done, $now);
        }
        foreach ($table->samples as $item) {
            if ($this->isFor($item, $labels, $done, $now)) {
                $open[$item] = 'o';
            }
        }
        foreach ($learner->grants as $grant) {
            if ($grant->from <= $now && $now < $grant->until) {
                $open[$table->position[$grant->item]] = 'o';
            }
        }

        return $this->told($open);
    }

    /** @param  array<int, true>  $done */
    private function isFor(int $item, int $has, array $done, int $now): bool
    {
        $either = $this->table->either[$item];

        return ($either === 0 || ($either & $has) !== 0 || isset($done[$this->table->orDone[$item]])) && ($this->table->bars[$item] & $has) === 0 && $this->table->since[$item] <= $now;
    }

    /** @param  array<int, true>  $done */
    private function opens(Pass $pass, int $has, array $done, int $now): string
    {
        [$either, $bars, $tiers, $orDone, $since] = [$this->table->either, $this->table->bars, $this->table->tiers, $this->table->orDone, $this->table->since];
        $wall = $this->zone->wallAt($pass->from);
        $midnight = $wall - $wall % 86400;
        $foot = [$wall, $midnight, $wall, 0][$this->foot];
        $offset = $this->table->offset[(intdiv($midnight, 86400) + 3) % 7];
        $age = $this->zone->wallAt($now) - $foot;
        $shuts = $this->table->everCloses ? $this->shuts($offset, $wall - $foot) : null;
        $met = $this->table->waits ? $this->met($has, $done) : null;
        $opens = '';
        for ($i = 0; $i < $this->count; $i++) {
            $opens .= $offset[$i] <= $age && ($tiers[$i] & $has) !== 0 && (($e = $either[$i]) === 0 || ($e & $has) !== 0 || isset($done[$orDone[$i]])) && ($bars[$i] & $has) === 0 && $since[$i] <= $now
                && ($shuts === null || $shuts[$i] > $age) && ($met === null || $met[$i]) ? 'o' : '-';
        }

        return $opens;
    }

    /**
     * @param  list<int>  $offset
     * @return list<int> seconds from the foot until each closes
     */
    private function shuts(array $offset, int $beginning): array
    {
        [$closes, $above] = [$this->table->closes, $this->table->above];
        $shuts = [];
        for ($i = 0; $i < $this->count; $i++) {
            $shut = $above[$i] < 0 ? PHP_INT_MAX : $shuts[$above[$i]];
            if ($closes[$i] > 0) {
                $own = ($offset[$i] > $beginning ? $offset[$i] : $beginning) + $closes[$i];
                $shut = $own < $shut ? $own : $shut;
            }
            $shuts[] = $shut;
        }

        return $shuts;
    }

    /**
     * @param  array<int, true>  $done
     * @return list<bool> whether what comes first is done, of that which is for them
     */
    private function met(int $has, array $done): array
    {
        $table = $this->table;
        [$either, $bars, $tiers, $orDone, $above, $isModule] = [$table->either, $table->bars, $table->tiers, $table->orDone, $table->above, $table->isModule];
        $counts = $left = [];
        for ($i = 0; $i < $this->count; $i++) {
            $counts[] = $for = ($tiers[$i] & $has) !== 0 && (($e = $either[$i]) === 0 || ($e & $has) !== 0 || $orDone[$i] >= 0) && ($bars[$i] & $has) === 0;
            if ($for && ! $isModule[$i]) {
                for ($in = $above[$i]; $in >= 0; $in = $above[$in]) {
                    $left[$in] = ($left[$in] ?? false) || ! isset($done[$i]);
                }
            }
        }
        $met = $before = [];
        for ($i = 0; $i < $this->count; $i++) {
            $in = $above[$i];
            $complete = $isModule[$i] ? isset($left[$i]) && ! $left[$i] : isset($done[$i]);
            $turn = ! $table->inTurn[$i] || ($before[$in] ?? true);
            $met[] = $complete || ($turn && ($in < 0 || $met[$in]) && $this->isEnough($i, $counts, $done));
            if ($isModule[$i] ? isset($left[$i]) : $counts[$i]) {
                $before[$in] = $complete;
            }
        }

        return $met;
    }

    /**
     * @param  list<bool>  $counts
     * @param  array<int, true>  $done
     */
    private function isEnough(int $item, array $counts, array $done): bool
    {
        $left = $made = 0;
        foreach ($this->table->after[$item] as $first) {
            if ($counts[$first]) {
                $left++;
                $made += isset($done[$first]) ? 1 : 0;
            }
        }

        return $made >= min($this->table->atLeast[$item] ?? $left, $left);
    }

    private function told(string $open): string
    {
        [$letter, $above, $hiding] = [$this->table->letter, $this->table->above, $this->table->hiding];
        $states = '';
        for ($i = 0; $i < $this->count; $i++) {
            $states .= $open[$i] === 'o' ? 'o' : ($hiding !== [] && isset($hiding[$above[$i]]) && $states[$above[$i]] === 'h' ? 'h' : $letter[$i]);
        }
        foreach ($hiding as $module => $end) {
            if ($states[$module] === 'h' && strspn($states, 'h', $module, $end - $module) < $end - $module) {
                $states[$module] = 'l';
            }
        }

        return $states;
    }
}
