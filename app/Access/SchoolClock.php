<?php

declare(strict_types=1);

namespace App\Access;

use App\Words\Formats;
use App\Words\ReaderZone;
use App\Words\Say;
use App\Words\WallClock;
use DateTimeImmutable;
use Psr\Clock\ClockInterface;
use SilentKeep\Core\Time\InvalidTime;
use SilentKeep\Core\Time\LocalTime;
use SilentKeep\Core\Time\SchoolZone;

/** The present instant, and instants in the words of the school's wall clock. */
final readonly class SchoolClock implements WallClock
{
    private const YEARS_BACK = 5;

    private const YEARS_AHEAD = 12;

    public function __construct(private ClockInterface $clock, private SchoolOf $school, private ReaderZone $reader)
    {
    }

    /** The same wall clock, stopped at an instant. */
    public function stoppedAt(int $instant): self
    {
        return new self(new StoppedClock($instant), $this->school, $this->reader);
    }

    public function now(): int
    {
        return $this->clock->now()->getTimestamp();
    }

    /** The present year on the school's wall calendar. */
    public function year(): int
    {
        /** @var array{string, int} $last minute and year that were asked for last: each date of a page asks */
        static $last = ['', 0];
        $now = $this->now();
        $minute = $this->zone().' '.intdiv($now, 60);

        return $last[0] === $minute ? $last[1] : ($last = [$minute, (int) $this->local($now)->format('Y')])[1];
    }

    public function words(int $instant): string
    {
        $words = $this->plain($instant);

        return $this->reader->agrees($this->local($instant)) ? $words : Say::text('formats.in_zone', ['when' => $words, 'zone' => $this->zoneName()]);
    }

    public function plain(int $instant): string
    {
        return Formats::instant($this->local($instant), $this->year());
    }

    /** `Mon 9 Mar`, with the year where it is not this one. */
    public function date(int $instant): string
    {
        return Formats::date($this->local($instant), $this->year());
    }

    /** `9 Mar`, or `Mar 2027` where it is not this year: for places as narrow as a cell. */
    public function cellDate(int $instant): string
    {
        return Formats::cell($this->local($instant), $this->year());
    }

    /** `9 Mar`, of whatever year: where others beside it tell which. */
    public function axisDate(int $instant): string
    {
        $local = $this->local($instant);

        return Formats::cell($local, (int) $local->format('Y'));
    }

    /** `2026-03-09`: the day on the school's wall calendar. */
    public function day(int $instant): string
    {
        return $this->local($instant)->format('Y-m-d');
    }

    /** The Monday of the week in which an instant lies, as a date. */
    public function monday(int $instant): string
    {
        $local = $this->local($instant);

        return $local->modify('-'.((int) $local->format('N') - 1).' days')->format('Y-m-d');
    }

    /** As a wall-clock time in the plan format: `2026-03-09T09:00`. */
    public function wall(int $instant): string
    {
        return $this->local($instant)->format('Y-m-d\TH:i');
    }

    /** The instant that a wall-clock time of the plan format means here; null where it is none. */
    public function instant(string $local): ?int
    {
        try {
            return SchoolZone::named($this->zone())->instantOf(LocalTime::parse($local));
        } catch (InvalidTime) {
            return null;
        }
    }

    /** So many calendar days later, at the same wall-clock time. */
    public function plusDays(int $instant, int $days): int
    {
        return SchoolZone::named($this->zone())->plusDays($instant, $days);
    }

    /** The same day of the month at the same wall-clock time so many months later. */
    public function plusMonths(int $instant, int $months): int
    {
        return SchoolZone::named($this->zone())->plusMonths($instant, $months);
    }

    /** How many whole calendar days lie between, as {@see self::plusDays()} counts them. */
    public function wholeDays(int $from, int $until): int
    {
        return SchoolZone::named($this->zone())->wholeDays($from, $until);
    }

    /** How many midnights lie between: 0 on the same day, 1 on the next, whatever the hour. */
    public function nightsBetween(int $from, int $until): int
    {
        return (int) $this->local($from)->setTime(0, 0)->diff($this->local($until)->setTime(0, 0))->format('%r%a');
    }

    /** `Monday` */
    public function weekday(int $instant): string
    {
        return Formats::weekday($this->local($instant));
    }

    public function zone(): string
    {
        return ($this->school)()->zone;
    }

    /** @return list<ZoneOffset> as far back and ahead as pages look */
    public function offsets(): array
    {
        $now = $this->now();
        $offsets = [];
        foreach (SchoolZone::named($this->zone())->offsets($now - self::YEARS_BACK * 366 * 86400, $now + self::YEARS_AHEAD * 366 * 86400) as $since => $seconds) {
            $offsets[] = new ZoneOffset($since, $seconds);
        }

        return $offsets;
    }

    public function zoneName(): string
    {
        $zone = $this->zone();

        return str_contains($zone, '/') ? Say::text('formats.zone', ['city' => str_replace('_', ' ', substr($zone, strrpos($zone, '/') + 1))]) : $zone;
    }

    private function local(int $instant): DateTimeImmutable
    {
        return (new DateTimeImmutable('@'.$instant))->setTimezone(SchoolZone::named($this->zone())->native);
    }
}
