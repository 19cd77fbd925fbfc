<?php

declare(strict_types=1);

/* The core on two courses, beside bare loops: states, whole answers, what a change does, growth, memory. */

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\Person;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

require __DIR__.'/measure.php';
require __DIR__.'/today.php';
require __DIR__.'/deep.php';

const ROUNDS = 7;

const LEARNERS = 2_000;

function benchNow(): int
{
    return Instant::parse('2026-06-15T10:00:00Z');
}

/** A compiled course that has decided for others before, as a process that serves people has. */
function warm(Plan $plan, Closure $viewers): CompiledDecider
{
    $decider = new CompiledDecider($plan, $plan->courses['c']);
    foreach ($viewers(ROUNDS) as $viewer) {
        $decider->answers($viewer(), benchNow());
    }

    return $decider;
}

/**
 * @param  Closure(int): list<Closure(): Viewer>  $viewers  of a round
 * @param  Closure(int): mixed  $loop
 * @param  array{float, float}  $most  states, whole answers
 */
function decisionRows(string $course, Plan $plan, Closure $viewers, Closure $loop, array $most): void
{
    $now = benchNow();
    $decider = warm($plan, $viewers);
    $count = $decider->compiled->count;
    $rounds = array_map($viewers, range(0, ROUNDS - 1));
    $decisions = LEARNERS * $count;
    printf("\n%s: %s learners x %d items, others in every round\n", $course, number_format(LEARNERS), $count);
    row('bare loop', beside($loop, $loop, ROUNDS), $decisions);
    row("{$course}: states, viewers made and prepared on the way", beside($loop, static function (int $round) use ($rounds, $decider, $now): void {
        foreach ($rounds[$round] as $viewer) {
            $decider->states($decider->viewer($viewer(), $now), $now);
        }
    }, ROUNDS), $decisions, $most[0]);
    row("{$course}: whole answers with why and next", beside($loop, static function (int $round) use ($rounds, $decider, $now): void {
        foreach ($rounds[$round] as $viewer) {
            $decider->answers($viewer(), $now);
        }
    }, ROUNDS), $decisions, $most[1]);
    row('the same, each way in, reason and next change read', beside($loop, static function (int $round) use ($rounds, $decider, $now, $count): void {
        foreach ($rounds[$round] as $viewer) {
            $answers = $decider->answers($viewer(), $now);
            for ($item = 0; $item < $count; $item++) {
                $answers->via($item);
                $answers->why($item);
                $answers->next($item);
            }
        }
    }, ROUNDS), $decisions, null, 'no promise: most of it is asking');
    row('the same, spelled out as an object an item', beside($loop, static function (int $round) use ($rounds, $decider, $now): void {
        foreach ($rounds[$round] as $viewer) {
            $decider->decide($viewer(), $now);
        }
    }, ROUNDS), $decisions, null, 'no promise: most of it is making the objects');
}

function coreRows(int $people, int $items): void
{
    $now = benchNow();
    printf("PHP %s, %s; per row: time, item decisions a second, times the bare loop over as many\n", PHP_VERSION, hasJit() ? 'with the JIT' : 'without the JIT');
    decisionRows(
        'plain course', plainPlan($items),
        static fn (int $round): array => array_map(static fn (Person $person): Closure => static fn (): Viewer => $person->viewer, plainPeople(LEARNERS, $now, 42 + $round)),
        plainLoop(LEARNERS, plainPlan($items)->courses['c']->outline->count(), $now), [1.5, 5],
    );
    $rows = array_map(static fn (int $round): array => deepRows(LEARNERS, $now, 11 + $round), range(0, ROUNDS));
    $loops = array_map(static fn (array $of): Closure => deepLoop($of, $now), $rows);
    decisionRows(
        'deep course', deepPlan(),
        static fn (int $round): array => array_map(static fn (array $row): Closure => static fn (): Viewer => deepViewer($row), $rows[$round]),
        static fn (int $round): int => $loops[$round](), [2, 12],
    );
    impactRows($people, $items);
    growthRows();
}

function impactRows(int $people, int $items): void
{
    $now = benchNow();
    [$before, $after] = [plainPlan($items), plainPlan($items, 14)];
    $crowd = plainPeople($people, $now);
    $count = $before->courses['c']->outline->count();
    $loop = plainLoop($people, $count, $now);
    printf("\nImpact of one edit on %s people x %d items of the plain course\n", number_format($people), $count);
    [$seconds, $ratio] = beside($loop, static fn () => (new Impact($before, $after, 'c', $now, $now + 365 * 86400))->atOnceOn($crowd));
    row('who gains and loses now, a plan', [$seconds / 2, $ratio / 2], $people * $count, 4);
    row('the whole impact with its reach, both plans', beside($loop, static fn () => (new Impact($before, $after, 'c', $now, $now + 365 * 86400))->on($crowd)), $people * $count, 7);
    echo '  touched among 500: '.json_encode(array_filter((new Impact($before, $after, 'c', $now, $now + 365 * 86400))->on(array_slice($crowd, 0, 500))->toArray(false)['touched']))."\n";
    [$before, $after] = [deepPlan(), deepPlan(14)];
    $rows = deepRows(LEARNERS, $now);
    $crowd = array_map(static fn (int $p): Person => new Person("p{$p}", deepViewer($rows[$p])), array_keys($rows));
    row('the same on the deep course, everybody on a way of their own', beside(deepLoop($rows, $now), static fn () => (new Impact($before, $after, 'c', $now, $now + 365 * 86400))->on($crowd)), LEARNERS * 205, null, 'no promise');
    // Neither may fall back to deciding item by item, which takes a hundred times as long.
    $few = array_slice($rows, 0, 100);
    [$before, $after] = [deepPlan(letsObserversIn: true), deepPlan(14, letsObserversIn: true)];
    $watching = array_map(static fn (array $row): Person => new Person('o', (new Viewer(signedIn: true))->observing(deepViewer($row))), $few);
    row('the same for observers, each of another learner', beside(deepLoop($few, $now), static fn () => (new Impact($before, $after, 'c', $now, $now + 365 * 86400))->on($watching), 3), count($few) * 205, 150);
    [$before, $after] = [deepPlan(asksWhatIsDone: true), deepPlan(14, asksWhatIsDone: true)];
    $crowd = array_slice($crowd, 0, 100);
    row('the same where a condition asks what is done', beside(deepLoop($few, $now), static fn () => (new Impact($before, $after, 'c', $now, $now + 365 * 86400))->on($crowd), 3), count($few) * 205, 500);
}

/** People of forty cohorts: what is done on the first days of the course, by the end of the week or not at all. */
function cohorts(int $count): array
{
    $people = [];
    for ($p = 0; $p < $count; $p++) {
        $cohort = $p % 40;
        $from = benchNow() - ($cohort % 8) * 5 * 86400;
        $done = [];
        for ($d = 0; $d < $cohort % 5; $d++) {
            $done["m0-l{$d}"] = $from + 86400;
        }
        $people[] = new Person("p{$p}", new Viewer(signedIn: true, passes: [new Pass(['silver', 'gold', 'slow'][$cohort % 3], $from)], done: $done));
    }

    return $people;
}

function growthRows(): void
{
    $now = benchNow();
    echo "\nGrowth of the whole impact: times the bare loop over as many\n";
    foreach ([[500, 100], [2_000, 100], [8_000, 100], [500, 400], [500, 1_600]] as [$people, $items]) {
        [$before, $after] = [plainPlan($items), plainPlan($items, 14)];
        $crowd = plainPeople($people, $now);
        $count = $before->courses['c']->outline->count();
        row("{$people} people x {$count} items", beside(plainLoop($people, $count, $now), static fn () => (new Impact($before, $after, 'c', $now, $now + 365 * 86400))->on($crowd), 3), $people * $count);
    }
    [$before, $after] = [plainPlan(200), plainPlan(200, 14)];
    $each = [];
    foreach ([250, 16_000] as $people) {
        $crowd = cohorts($people);
        $seconds = beside(static fn () => usleep(1), static fn () => (new Impact($before, $after, 'c', $now, $now + 365 * 86400))->on($crowd))[0];
        $each[] = $seconds / $people;
        printf("%-60s %9.1f ms %8.1f us each\n", number_format($people).' people of 40 cohorts', $seconds * 1000, $seconds / $people * 1e6);
    }
    printf("%-60s %33.2f x  %s\n", 'one of 16,000 beside one of 250', $each[1] / $each[0], Promises::check('one of 16,000 who share their fate beside one of 250', $each[1] / $each[0], 0.7));
    $few = array_slice(plainPeople(20, $now), 0, 20);
    $plan = plainPlan(200);
    row('the definition, for comparison (20 viewers)', beside(plainLoop(20, 200, $now), static function () use ($few, $plan, $now): void {
        $definition = new Decider($plan, $plan->courses['c']);
        foreach ($few as $person) {
            $definition->decide($person->viewer, $now);
        }
    }, 3), 20 * 200);
}

/** In a process of its own: what compiling takes, and what many viewers in a row do. */
function memoryRows(): void
{
    $now = benchNow();
    $plan = plainPlan(2_000);
    $count = $plan->courses['c']->outline->count();
    $pass = plainLoop(1, $count, $now);
    $ratios = $bytes = [];
    for ($try = 0; $try < 9; $try++) {
        gc_collect_cycles();
        $one = timed(static function () use ($pass): void {
            for ($times = 0; $times < 20; $times++) {
                $pass();
            }
        }) / 20;
        $used = memory_get_usage();
        $compiled = null;
        $ratios[] = timed(static function () use ($plan, &$compiled): void {
            $compiled = new CompiledDecider($plan, $plan->courses['c']);
        }) / $one;
        foreach ($plan->offers as $offer) {
            $compiled?->compiled->profile($offer->key);
        }
        $bytes[] = memory_get_usage() - $used;
        unset($compiled);
    }
    sort($ratios);
    printf("\nA course of %s items, compiled\n", number_format($count));
    printf("%-60s %33.1f x  %s\n", 'in times one pass of the loop over it', $ratios[4], Promises::check('compiling 2,000 items', $ratios[4], 50));
    printf("%-60s %30.2f MB    %s\n", 'held, with three offers', min($bytes) / 1e6, Promises::check('a compiled course of 2,000 items', min($bytes) / 1e6, 4, 'MB'));
    $plan = deepPlan();
    $decider = new CompiledDecider($plan, $plan->courses['c']);
    memory_reset_peak_usage();
    for ($group = 0; $group < 100; $group++) {
        foreach (deepRows(1_000, $now, 1000 + $group) as $row) {
            $decider->states($decider->viewer(deepViewer($row), $now), $now);
        }
    }
    $peak = memory_get_peak_usage(true) / 1e6;
    printf("%-60s %30.1f MB    %s\n", 'states of 100,000 viewers in one run, the whole process', $peak, Promises::check('states of 100,000 viewers', $peak, 64, 'MB'));
}
