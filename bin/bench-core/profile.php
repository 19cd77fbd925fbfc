<?php

declare(strict_types=1);

/* Where the time goes: a child knocks every millisecond, and the process notes where it is. */

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\Person;

const PROFILE_SECONDS = 4;

function profileOf(string $what, bool $deep): void
{
    $now = benchNow();
    $plan = $deep ? deepPlan() : plainPlan(200);
    $after = $deep ? deepPlan(14) : plainPlan(200, 14);
    $people = $deep ? array_map(static fn (array $row): Person => new Person('', deepViewer($row)), deepRows(LEARNERS, $now)) : plainPeople(LEARNERS, $now);
    $work = match ($what) {
        'states' => static function () use ($plan, $people, $now): void {
            $decider = new CompiledDecider($plan, $plan->courses['c']);
            foreach ($people as $person) {
                $decider->states($decider->viewer($person->viewer, $now), $now);
            }
        },
        'answers' => static function () use ($plan, $people, $now): void {
            $decider = new CompiledDecider($plan, $plan->courses['c']);
            foreach ($people as $person) {
                $decider->answers($person->viewer, $now);
            }
        },
        'impact' => static fn () => (new Impact($plan, $after, 'c', $now, $now + 365 * 86400))->on($people),
        default => throw new InvalidArgumentException('There is states, answers and impact.'),
    };
    $lines = $functions = [];
    $samples = 0;
    pcntl_async_signals(true);
    pcntl_signal(SIGUSR1, static function () use (&$lines, &$functions, &$samples): void {
        $samples++;
        $trace = debug_backtrace(DEBUG_BACKTRACE_IGNORE_ARGS);
        $name = static fn (array $frame): string => ltrim(strrchr('\\'.($frame['class'] ?? ''), '\\').'::'.$frame['function'], '\\:');
        $line = $name($trace[1] ?? ['function' => '']).':'.($trace[0]['line'] ?? 0);
        $lines[$line] = ($lines[$line] ?? 0) + 1;
        foreach (array_unique(array_map($name, array_slice($trace, 1))) as $function) {
            $functions[$function] = ($functions[$function] ?? 0) + 1;
        }
    });
    $parent = getmypid();
    $knocker = pcntl_fork();
    if ($knocker === 0) {
        while (posix_getppid() === $parent) {
            posix_kill($parent, SIGUSR1);
            usleep(1000);
        }
        posix_kill(getmypid(), SIGKILL);
    }
    $until = microtime(true) + PROFILE_SECONDS;
    while (microtime(true) < $until) {
        $work();
    }
    posix_kill($knocker, SIGKILL);
    pcntl_waitpid($knocker, $status);
    foreach (['lines, by themselves' => $lines, 'functions, with all that they call' => $functions] as $of => $counts) {
        arsort($counts);
        printf("\n%s, of %d samples\n", $of, $samples);
        foreach (array_slice($counts, 0, 25, true) as $name => $count) {
            printf("  %5.1f %%  %s\n", 100 * $count / $samples, $name);
        }
    }
}
