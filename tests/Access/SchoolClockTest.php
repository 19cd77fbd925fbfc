<?php

declare(strict_types=1);

namespace Tests\Access;

use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Access\ZoneOffset;
use App\Models\School;
use Illuminate\Support\Carbon;
use PHPUnit\Framework\Attributes\DataProvider;
use SilentKeep\Core\Time\Instant;
use Tests\Factories\SchoolFactory;
use Tests\TestCase;

final class SchoolClockTest extends TestCase
{
    private function clock(string $now, string $zone = 'Europe/Oslo'): SchoolClock
    {
        Carbon::setTestNow($now);
        School::query()->delete();
        SchoolFactory::new()->in($zone)->createOne(['name' => 'Alder & Tide', 'guests' => true]);
        app(SchoolOf::class)->forget();

        return app(SchoolClock::class);
    }

    public function test_the_year_is_that_of_the_wall_calendar(): void
    {
        self::assertSame([2026, 2027], [$this->clock('2026-12-31T22:59:59Z')->year(), $this->clock('2026-12-31T23:00:00Z')->year()]);
        self::assertSame(2026, $this->clock('2026-12-31T23:00:00Z', 'America/New_York')->year());
    }

    #[DataProvider('walls')]
    public function test_a_wall_clock_time_means_an_instant(string $wall, ?string $instant): void
    {
        $clock = $this->clock('2026-03-10T12:00:00Z');
        self::assertSame($instant, $clock->instant($wall) === null ? null : Instant::format($clock->instant($wall)));
    }

    /** @return list<array{string, ?string}> */
    public static function walls(): array
    {
        return [['2026-03-10T13:00', '2026-03-10T12:00:00Z'], ['2026-03-29T02:30', '2026-03-29T01:30:00Z'], ['2026-10-25T02:30', '2026-10-25T00:30:00Z'], ['2026-02-30T09:00', null], ['tomorrow', null], ['', null]];
    }

    public function test_days_are_added_on_the_calendar(): void
    {
        $clock = $this->clock('2026-03-10T12:00:00Z');
        self::assertSame('2026-03-30T11:00:00Z', Instant::format($clock->plusDays($clock->now(), 20)));
        self::assertSame('2026-03-10T13:00', $clock->wall($clock->now()));
    }

    public function test_pages_get_every_change_of_clocks_that_they_may_look_at(): void
    {
        $clock = $this->clock('2026-03-10T12:00:00Z');
        $offsets = array_map(static fn (ZoneOffset $one): array => [Instant::format($one->since), $one->seconds], $clock->offsets());
        self::assertContains(['2026-03-29T01:00:00Z', 7200], $offsets);
        self::assertContains(['2026-10-25T01:00:00Z', 3600], $offsets);
        self::assertLessThan(Instant::parse('2022-01-01T00:00:00Z'), $clock->offsets()[0]->since);
        self::assertSame(array_unique(array_column($clock->offsets(), 'since')), array_column($clock->offsets(), 'since'));
        self::assertCount(1, $this->clock('2026-03-10T12:00:00Z', 'Asia/Kolkata')->offsets());
    }

    public function test_a_zone_is_called_as_people_call_it(): void
    {
        self::assertSame(['Oslo time', 'New York time', 'UTC'], array_map(fn (string $zone): string => $this->clock('2026-03-10T12:00:00Z', $zone)->zoneName(), ['Europe/Oslo', 'America/New_York', 'UTC']));
    }
}
