<?php

declare(strict_types=1);

/* Times beside a bare loop, and what was promised of them. */

/** What is promised and was not held, in words. */
final class Promises
{
    /** @var list<string> */
    public static array $broken = [];

    /** @return string what to print beside a number */
    public static function check(string $what, float $value, ?float $most, string $unit = 'x'): string
    {
        if ($most === null) {
            return '';
        }
        if ($value > $most) {
            self::$broken[] = sprintf('%s: %.2f %s, at most %s', $what, $value, $unit, $most);
        }

        return sprintf('at most %s%s', $most, $value > $most ? '   NOT HELD' : '');
    }
}

/** Seconds that the work takes. */
function timed(Closure $work): float
{
    $start = hrtime(true);
    $work();

    return (hrtime(true) - $start) / 1e9;
}

/**
 * Measures the work and the bare loop in turn, so that a machine that is slow for a while is so for both. Both are told the number of
 * the round: a round with people of its own finds nothing that was remembered of them.
 *
 * @param  Closure(int): mixed  $bare
 * @param  Closure(int): mixed  $work
 * @return array{float, float} the median of the work's seconds, and of its ratio to the loop beside it
 */
function beside(Closure $bare, Closure $work, int $tries = 5): array
{
    $seconds = $ratios = [];
    for ($try = 0; $try < $tries; $try++) {
        $before = timed(static fn () => $bare($try));
        $seconds[] = timed(static fn () => $work($try));
        $ratios[] = end($seconds) / (($before + timed(static fn () => $bare($try))) / 2);
    }
    sort($seconds);
    sort($ratios);

    return [$seconds[intdiv($tries, 2)], $ratios[intdiv($tries, 2)]];
}

/** @param  array{float, float}  $measured */
function row(string $what, array $measured, int $decisions, ?float $most = null, string $remark = ''): void
{
    printf("%-60s %9.1f ms %8.2f M/s %8.2f x  %s\n", $what, $measured[0] * 1000, $decisions / $measured[0] / 1e6, $measured[1], Promises::check($what, $measured[1], $most).$remark);
}

function hasJit(): bool
{
    return function_exists('opcache_get_status') && ((opcache_get_status(false) ?: [])['jit']['on'] ?? false);
}

/** Ends the run: with 1 where a promise was not held. */
function verdict(): never
{
    foreach (Promises::$broken as $broken) {
        fwrite(STDERR, "Not held: {$broken}\n");
    }
    exit(Promises::$broken === [] ? 0 : 1);
}
