<?php

declare(strict_types=1);

namespace Tests\Core\Watching;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Watching\InvalidReport;
use SilentKeep\Core\Watching\PlayedSegments;
use SilentKeep\Core\Watching\Watch;
use SilentKeep\Core\Watching\WatchedStretches;

final class WatchTest extends TestCase
{
    /** @param  list<array{float, float}>  $expected */
    #[DataProvider('reports')]
    public function test_coverage_is_the_union_cut_to_the_video(string $played, array $expected): void
    {
        self::assertEquals($expected, WatchedStretches::none(120)->with(PlayedSegments::parse($played))->segments);
    }

    /** @return \Generator<string, array{string, list<array{float, float}>}> */
    public static function reports(): \Generator
    {
        yield 'nothing' => ['', []];
        yield 'one' => ['0[.]62.5', [[0.0, 62.5]]];
        yield 'overlapping' => ['0[.]62.5[,]60[.]118', [[0.0, 118.0]]];
        yield 'touching' => ['0[.]60[,]60[.]90', [[0.0, 90.0]]];
        yield 'apart and out of order' => ['100[.]110[,]0[.]10', [[0.0, 10.0], [100.0, 110.0]]];
        yield 'the same twice' => ['5[.]9[,]5[.]9', [[5.0, 9.0]]];
        yield 'one inside another' => ['0[.]100[,]20[.]30', [[0.0, 100.0]]];
        yield 'backwards' => ['60[.]10', []];
        yield 'of no length' => ['60[.]60', []];
        yield 'past the end' => ['110[.]400', [[110.0, 120.0]]];
        yield 'altogether past the end' => ['121[.]400', []];
        yield 'half a second between' => ['0[.]60.1[,]60.6[.]90', [[0.0, 90.0]]];
        yield 'more than that between' => ['0[.]60.1[,]60.61[.]90', [[0.0, 60.1], [60.61, 90.0]]];
        yield 'half a second before the first' => ['0.5[.]10', [[0.0, 10.0]]];
        yield 'more than that before the first' => ['0.51[.]10', [[0.51, 10.0]]];
        yield 'half a second after the last' => ['0[.]119.5', [[0.0, 120.0]]];
        yield 'more than that after the last' => ['0[.]119.49', [[0.0, 119.49]]];
        yield 'several gaps in a row' => ['0.2[.]30[,]30.3[.]60[,]60.4[.]119.7', [[0.0, 120.0]]];
    }

    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused(string $played): void
    {
        $this->expectException(InvalidReport::class);
        PlayedSegments::parse($played);
    }

    /** @return list<array{string}> */
    public static function nonsense(): array
    {
        return [['0'], ['0-5'], ['-5[.]5'], ['0[.]5[,]'], ['a[.]b'], ['0[.]INF'], ['0[.]NAN'], ['0[.]1e9'], ["0[.]5\n"], [' 0[.]5'], [implode('[,]', array_fill(0, 10_001, '0[.]1'))]];
    }

    public function test_a_report_credits_no_more_than_real_time_allows(): void
    {
        $watch = self::watch()->report(PlayedSegments::parse('0[.]100'), 1010, 1.0);

        self::assertEqualsWithDelta(13.0, $watch->coverage->seconds(), 1e-9);
        self::assertEquals([[0.0, 13.0]], $watch->coverage->segments);
    }

    public function test_the_fastest_allowed_speed_counts(): void
    {
        self::assertEqualsWithDelta(23.0, self::watch()->report(PlayedSegments::parse('0[.]100'), 1010, 2.0)->coverage->seconds(), 1e-9);
    }

    public function test_an_honest_viewer_gets_all_they_watched(): void
    {
        $watch = self::watch();
        for ($at = 0; $at < 100; $at += 10) {
            $watch = $watch->report(PlayedSegments::parse("{$at}[.]".($at + 10)), 1010 + $at, 1.0);
        }

        self::assertTrue($watch->isFinished(1.0));
    }

    public function test_a_gap_between_two_reports_counts_as_played(): void
    {
        $watch = self::watch()->report(PlayedSegments::parse('0[.]10'), 1010, 1.0)->report(PlayedSegments::parse('10.4[.]20'), 1020, 1.0);

        self::assertEquals([[0.0, 20.0]], $watch->coverage->segments);
    }

    public function test_gaps_are_paid_for_like_what_is_played(): void
    {
        $slivers = implode('[,]', array_map(static fn (int $n): string => sprintf('%.2F[.]%.2F', $n * 0.5, $n * 0.5 + 0.01), range(0, 239)));

        self::assertEqualsWithDelta(13.0, self::watch()->report(PlayedSegments::parse($slivers), 1010, 1.0)->coverage->seconds(), 1e-6);
    }

    public function test_replaying_a_report_brings_nothing(): void
    {
        $once = self::watch()->report(PlayedSegments::parse('0[.]10'), 1010, 1.0);

        self::assertEquals($once->coverage, $once->report(PlayedSegments::parse('0[.]10'), 1060, 1.0)->coverage);
    }

    public function test_a_burst_of_reports_does_not_add_up_its_margins(): void
    {
        $watch = self::watch();
        for ($n = 0; $n < 50; $n++) {
            $watch = $watch->report(PlayedSegments::parse('0[.]100'), 1000, 1.0);
        }

        self::assertEqualsWithDelta(3.0, $watch->coverage->seconds(), 1e-9);
    }

    /** Time that has long gone by is no credit for a burst: it once was, as all reports together were held against the first opening. */
    public function test_a_burst_a_day_later_has_one_margin_too(): void
    {
        $watch = self::watch()->reopened(1000 + 86_400);
        for ($n = 0; $n < 50; $n++) {
            $watch = $watch->report(PlayedSegments::parse('0[.]100'), 1000 + 86_400, 2.0);
        }

        self::assertEqualsWithDelta(3.0, $watch->coverage->seconds(), 1e-9);
    }

    public function test_the_margin_comes_back_as_time_passes_that_was_not_credited(): void
    {
        $burst = self::watch()->report(PlayedSegments::parse('0[.]100'), 1000, 1.0);
        self::assertEqualsWithDelta(0.0, $burst->spare, 1e-9);
        self::assertEqualsWithDelta(2.0, $burst->report(PlayedSegments::parse(''), 1002, 1.0)->spare, 1e-9);
        self::assertEqualsWithDelta(3.0, $burst->report(PlayedSegments::parse(''), 1060, 1.0)->spare, 1e-9);
    }

    /** However reports come: in all no more than real time and one margin. */
    public function test_no_row_of_reports_gets_more_than_time_and_one_margin(): void
    {
        mt_srand(12);
        for ($row = 0; $row < 200; $row++) {
            $watch = self::watch();
            $at = 1000;
            for ($n = 0; $n < 20; $n++) {
                $at += mt_rand(0, 3) === 0 ? mt_rand(0, 9) : 0;
                $watch = $watch->report(PlayedSegments::parse('0[.]'.mt_rand(1, 120)), $at, 1.5);
                self::assertLessThanOrEqual(($at - 1000) * 1.5 + Watch::MARGIN + 1e-9, $watch->coverage->seconds());
            }
        }
    }

    public function test_time_away_is_not_time_watched(): void
    {
        $watch = self::watch()->reopened(1000 + 86_400)->report(PlayedSegments::parse('0[.]100'), 1000 + 86_405, 1.0);

        self::assertEqualsWithDelta(8.0, $watch->coverage->seconds(), 1e-9);
    }

    public function test_a_report_from_the_past_counts_as_no_time(): void
    {
        $watch = self::watch()->report(PlayedSegments::parse('0[.]10'), 1010, 1.0)->report(PlayedSegments::parse('50[.]100'), 900, 1.0);

        self::assertEqualsWithDelta(10.0, $watch->coverage->seconds(), 1e-9);
        self::assertSame(1010, $watch->heardAt);
    }

    public function test_coverage_never_falls(): void
    {
        mt_srand(11);
        $watch = self::watch();
        for ($n = 0; $n < 300; $n++) {
            $before = $watch->coverage->seconds();
            $watch = $watch->report(PlayedSegments::parse(mt_rand(0, 130).'[.]'.mt_rand(0, 130)), 1000 + mt_rand(0, 600), mt_rand(5, 20) / 10);
            self::assertGreaterThanOrEqual($before - 1e-9, $watch->coverage->seconds());
            self::assertLessThanOrEqual(100.0, $watch->coverage->seconds());
        }
    }

    public function test_a_video_needs_a_length(): void
    {
        $this->expectException(InvalidReport::class);
        WatchedStretches::none(0);
    }

    private static function watch(): Watch
    {
        return Watch::opened(WatchedStretches::none(100), 1000);
    }

    /** @param  list<string>  $reports */
    #[DataProvider('kept')]
    public function test_what_is_kept_as_text_is_read_back_as_it_was(array $reports, string $text): void
    {
        $coverage = WatchedStretches::none(120.5);
        foreach ($reports as $played) {
            $coverage = $coverage->with(PlayedSegments::parse($played));
        }
        self::assertSame($text, $coverage->toText());
        self::assertEquals($coverage->segments, WatchedStretches::none(120.5)->with(PlayedSegments::parse($text))->segments);
    }

    /** @return \Generator<string, array{list<string>, string}> */
    public static function kept(): \Generator
    {
        yield 'nothing' => [[], ''];
        yield 'whole seconds' => [['0[.]60'], '0[.]60'];
        yield 'fractions' => [['0.75[.]60.125'], '0.75[.]60.125'];
        yield 'several' => [['60[.]70', '0[.]10'], '0[.]10[,]60[.]70'];
        yield 'to the very end' => [['100[.]130'], '100[.]120.5'];
        yield 'hundreds' => [['100[.]110'], '100[.]110'];
    }

    public function test_a_watch_that_was_kept_goes_on_as_if_it_never_had_been(): void
    {
        $watch = self::watch()->report(PlayedSegments::parse('0[.]10'), 1010, 1.0);
        $kept = Watch::kept($watch->coverage, $watch->heardAt, $watch->spare);

        self::assertEquals($watch->report(PlayedSegments::parse('0[.]90'), 1030, 1.5), $kept->report(PlayedSegments::parse('0[.]90'), 1030, 1.5));
    }

    public function test_reports_that_come_together_count_as_one(): void
    {
        $together = PlayedSegments::together(PlayedSegments::parse('0[.]5'), PlayedSegments::parse(''), PlayedSegments::parse('5[.]20[,]40[.]50'));

        self::assertEquals([[0.0, 20.0], [40.0, 50.0]], WatchedStretches::none(120)->with($together)->segments);
        self::assertEqualsWithDelta(13.0, self::watch()->report($together, 1010, 1.0)->coverage->seconds(), 1e-9);
    }
}
