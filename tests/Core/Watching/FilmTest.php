<?php

declare(strict_types=1);

namespace Tests\Core\Watching;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Watching\PlayedSegments;
use SilentKeep\Core\Watching\Watch;
use SilentKeep\Core\Watching\WatchedStretches;

/** Whole films, in whatever manner they are watched, and by whoever only says so. */
final class FilmTest extends TestCase
{
    /** Players say a moment late what they have played, leave out a film's first and last moment, and split it where one pauses. */
    #[DataProvider('films')]
    public function test_a_film_is_finished_at_a_share_of_one(float $length, float $speed, string $manner): void
    {
        mt_srand((int) $length);
        $now = 1000;
        $watch = Watch::opened(WatchedStretches::none($length), $now);
        $at = 0.0;
        $waiting = [];
        $segment = 0.3;
        $away = 0;
        while (! $watch->isFinished(1.0) && $now - $away < 1000 + 3 * $length) {
            $now += 5;
            $at = min($length - 0.4, $at + 5 * $speed);
            $waiting[] = sprintf('%.2F[.]%.2F', $segment, $at);
            $segment = $at + mt_rand(0, 40) / 100;
            [$at, $segment, $now, $sends, $opens] = self::manner($manner, $at, $segment, $now, count($waiting));
            if ($sends || $at >= $length - 0.5) {
                $watch = $watch->report(PlayedSegments::parse(implode('[,]', $waiting)), $now, 2.0);
                $waiting = [];
            }
            if ($opens) {
                // It is left, and opened elsewhere an hour later.
                $now += 3600;
                $away += 3600;
                $watch = $watch->reopened($now);
            }
        }

        self::assertTrue($watch->isFinished(1.0), "{$watch->coverage->toText()} of {$length}");
        // Never in less than it lasts at the fastest.
        self::assertGreaterThanOrEqual(floor(($length - Watch::MARGIN) / 2.0), $now - $away - 1000);
    }

    /** @return array{float, float, int, bool, bool} where it stands, where the next segment begins, what time it is, whether it reports now, whether the lesson is opened anew */
    private static function manner(string $manner, float $at, float $segment, int $now, int $waiting): array
    {
        return match (true) {
            // A pause of half a minute, in which nothing is played.
            $manner === 'pauses' && mt_rand(0, 3) === 0 => [$at, $segment, $now + 30, true, false],
            // Back by up to ten seconds, now and then.
            $manner === 'seeks back' && mt_rand(0, 4) === 0 && $at > 12 => [$at - mt_rand(1, 10), max(0.0, $at - 10), $now, true, false],
            // The line is down for some reports; then all comes at once.
            $manner === 'a cut line' => [$at, $segment, $now, $waiting >= 4, false],
            // Another device, after an hour; where one was, it goes on.
            $manner === 'another device' && mt_rand(0, 9) === 0 => [$at, $segment, $now, true, true],
            default => [$at, $segment, $now, true, false],
        };
    }

    /** @return \Generator<string, array{float, float, string}> */
    public static function films(): \Generator
    {
        foreach (['16 seconds' => 16.0, 'ten minutes' => 600.0, 'two hours' => 7200.0] as $name => $length) {
            foreach ([1.0, 2.0] as $speed) {
                foreach (['straight through', 'pauses', 'seeks back', 'a cut line', 'another device'] as $manner) {
                    yield "{$name} at {$speed}, {$manner}" => [$length, $speed, $manner];
                }
            }
        }
    }

    #[DataProvider('lengths')]
    public function test_forged_replayed_and_bursting_reports_do_not_finish_a_film_in_less_than_it_lasts(float $length): void
    {
        $whole = PlayedSegments::parse("0[.]{$length}");
        $slivers = PlayedSegments::parse(implode('[,]', array_map(static fn (int $n): string => sprintf('%.2F[.]%.2F', $n / 2, $n / 2 + 0.01), range(0, min(9_000, (int) ($length * 2))))));
        $until = 1000 + (int) floor(($length - Watch::MARGIN) / 2.0) - 1;
        $forged = $burst = $slivered = Watch::opened(WatchedStretches::none($length), 1000);
        for ($now = 1000; $now <= $until; $now += max(1, (int) ($length / 40))) {
            $forged = $forged->report($whole, $now, 2.0);
            $slivered = $slivered->report($slivers, $now, 2.0);
            for ($n = 0; $n < 20; $n++) {
                $burst = $burst->report($whole, $now, 2.0);
            }
        }

        foreach ([$forged, $burst, $slivered] as $watch) {
            self::assertFalse($watch->isFinished(1.0));
        }
    }

    /** @return list<array{float}> */
    public static function lengths(): array
    {
        return [[16.0], [600.0], [7200.0]];
    }
}
