<?php

declare(strict_types=1);

/*
 * Fifty random courses of many shapes: depth, steps, prerequisites, conditions, doors, labels for a time, several passes. Each is
 * measured beside a bare loop over its own items and passes; none may be far slower than the middle one.
 */

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Viewing\Viewer;

const SHAPES = 50;

const SHAPE_VIEWERS = 200;

/** Each with people of its own; one more has been served before. */
const SHAPE_ROUNDS = 7;

/** The largest of fifty measurements is most often one that something disturbed: so many of the worst are measured again, in so many rounds. */
const SHAPES_AGAIN = 5;
const SHAPE_ROUNDS_AGAIN = 21;

/** So many of them at a time the loop and the core do in turn: a machine that is slow for a moment is so for both. */
const SHAPE_TURN = 10;

/**
 * The bare loop over the items of a shape, once for each pass of each viewer: done made ready by position, then of every item its
 * release, what it needs, what comes first.
 *
 * @param  list<Viewer>  $viewers
 */
function itemLoop(Plan $plan, array $viewers, int $now): Closure
{
    $outline = $plan->courses['c']->outline;
    $position = $outline->positions;
    $offset = $needs = $first = [];
    foreach ($outline->items as $at => $item) {
        $opens = ($plan->courses['c']->mainPlan->entries[$at] ?? null)?->opens;
        $offset[] = ($opens?->delay()?->days ?? 0) * 86400;
        $needs[] = ($item->tiers === null ? 0 : 7 & ~array_sum(array_map(static fn (string $of): int => 1 << (int) array_search($of, DEEP_TIERS, true), $item->tiers))) | ($item->only === null ? 0 : 8 << $at % 8);
        $first[] = $item->after?->items[0] ?? -1;
    }
    $count = count($offset);

    return static function () use ($viewers, $now, $position, $offset, $needs, $first, $count): int {
        $opens = 0;
        foreach ($viewers as $viewer) {
            $learner = $viewer->observes ?? $viewer;
            $done = [];
            foreach ($learner->done as $key => $since) {
                if ($since <= $now) {
                    $done[$position[$key]] = true;
                }
            }
            $lacks = 2047;
            foreach ($learner->labels as $label) {
                $lacks ^= 8 << (int) substr($label, 6) % 8;
            }
            foreach ($learner->passes === [] ? [null] : $learner->passes as $pass) {
                $age = $pass === null || $pass->from > $now || $now >= $pass->until ? -1 : $now - $pass->from;
                $has = $lacks ^ ($pass === null ? 0 : 1 << (int) array_search($pass->offer, DEEP_TIERS, true));
                $states = '';
                for ($i = 0; $i < $count; $i++) {
                    if ($offset[$i] <= $age && ($needs[$i] & $has) === 0 && (($f = $first[$i]) < 0 || isset($done[$f]) || isset($done[$i]))) {
                        $states .= 'o';
                    } else {
                        $states .= 'l';
                    }
                }
                $opens += substr_count($states, 'o');
            }
        }

        return $opens;
    };
}

/** The loop that does all the work of the shape, and tells of learners just what the core tells. */
function loopByHand(Shape $shape): ShapeLoop
{
    return new ShapeLoop(new ShapeTable($shape->plan), $shape->plan->zone, $shape->of['opening']);
}

/** @param  list<Viewer>  $viewers */
function wholeLoop(Shape $shape, array $viewers, int $now): Closure
{
    $loop = loopByHand($shape);

    return static function () use ($loop, $viewers, $now): int {
        $open = 0;
        foreach ($viewers as $viewer) {
            $open += substr_count($loop->states($viewer, $now), 'o');
        }

        return $open;
    };
}

/** @param  list<Viewer>  $viewers */
function failUnlessLoopIsRight(Shape $shape, array $viewers, CompiledDecider $decider, int $now): void
{
    $loop = loopByHand($shape);
    foreach ($viewers as $viewer) {
        if (! $viewer->guest && $viewer->observes === null && $loop->states($viewer, $now) !== $decider->states($decider->viewer($viewer, $now), $now)) {
            throw new LogicException("The loop does other work than the core: {$shape->told}");
        }
    }
}

/**
 * How often the time of the loop the work takes, both done for a few viewers at a time; the median of the rounds.
 *
 * @param  list<list<Viewer>>  $rounds
 * @param  Closure(list<Viewer>): Closure  $loopFor
 * @param  Closure(list<Viewer>): mixed  $work
 */
function besideLoop(array $rounds, Closure $loopFor, Closure $work): float
{
    $ratios = [];
    foreach ($rounds as $viewers) {
        $bare = $own = 0.0;
        foreach (array_chunk($viewers, SHAPE_TURN) as $few) {
            $loop = $loopFor($few);
            $bare += timed($loop);
            $own += timed(static fn () => $work($few));
        }
        $ratios[] = $own / $bare;
    }

    return medianAndWorst($ratios)[0];
}

/** @return array{array<string, float>, float, string} times the loop by what is told; the same of a loop by hand that does all; what the shape is like */
function measuredShape(int $number, int $times): array
{
    $now = benchNow();
    $shape = new Shape($number);
    $rounds = array_map(static fn (): array => $shape->viewers(SHAPE_VIEWERS), range(0, $times));
    $decider = new CompiledDecider($shape->plan, $shape->plan->courses['c']);
    $served = array_pop($rounds);
    foreach ($served as $viewer) {
        $decider->answers($viewer, $now);
    }
    failUnlessLoopIsRight($shape, $served, $decider, $now);
    $loopFor = static fn (array $viewers): Closure => itemLoop($shape->plan, $viewers, $now);
    $states = besideLoop($rounds, $loopFor, static function (array $viewers) use ($decider, $now): void {
        foreach ($viewers as $viewer) {
            $decider->states($decider->viewer($viewer, $now), $now);
        }
    });
    $answers = besideLoop($rounds, $loopFor, static function (array $viewers) use ($decider, $now): void {
        foreach ($viewers as $viewer) {
            $decider->answers($viewer, $now);
        }
    });
    $whole = besideLoop($rounds, $loopFor, static fn (array $viewers): int => wholeLoop($shape, $viewers, $now)());

    return [['states' => $states, 'whole answers' => $answers], $whole, $decider->compiled->count.' items: '.$shape->told];
}

function shapeRows(int $seed): void
{
    $ratios = $ofWhole = ['states' => [], 'whole answers' => []];
    $told = [];
    for ($n = 0; $n < SHAPES; $n++) {
        [$measured, $whole, $told[$n]] = measuredShape($seed * 1000 + $n, SHAPE_ROUNDS);
        foreach ($measured as $what => $ratio) {
            $ratios[$what][$n] = $ratio;
            $ofWhole[$what][$n] = $ratio / $whole;
        }
    }
    $again = [];
    foreach ($ratios as $of) {
        arsort($of);
        $again += array_slice($of, 0, SHAPES_AGAIN, true);
    }
    foreach (array_keys($again) as $n) {
        [$measured] = measuredShape($seed * 1000 + $n, SHAPE_ROUNDS_AGAIN);
        foreach ($measured as $what => $ratio) {
            $ratios[$what][$n] = $ratio;
        }
    }
    foreach ($ratios as $what => $of) {
        [$median, $worst] = medianAndWorst($of);
        printf("%s on %d shapes, times the bare loop: median %.2f, worst %.2f, worst beside median %.2f  %s\n", $what, SHAPES, $median, $worst, $worst / $median, Promises::check("{$what}: the worst shape beside the median", $worst / $median, 2));
        arsort($of);
        foreach (array_slice($of, 0, 6, true) as $n => $ratio) {
            printf("  %.2f  shape %d, %s\n", $ratio, $n, $told[$n]);
        }
        vprintf("  times a loop by hand that does all that the shape asks: median %.2f, worst %.2f\n", medianAndWorst($ofWhole[$what]));
    }
}

/**
 * @param  list<float>  $ratios
 * @return array{float, float}
 */
function medianAndWorst(array $ratios): array
{
    sort($ratios);

    return [$ratios[intdiv(count($ratios), 2)], end($ratios)];
}
