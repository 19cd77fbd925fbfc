<?php

declare(strict_types=1);

namespace App\Keep;

use DateTimeImmutable;
use DateTimeZone;
use Psr\Clock\ClockInterface;

/** The present instant, and instants in the words of the school's wall clock. */
final readonly class SchoolClock
{
    public function __construct(private ClockInterface $clock, private SchoolOf $school) {}

    public function now(): int
    {
        return $this->clock->now()->getTimestamp();
    }

    /** `Mon 9 Mar, 09:00`, with the year where it is not this one. */
    public function words(int $instant): string
    {
        $local = $this->local($instant);
        $format = $local->format('Y') === $this->local($this->now())->format('Y') ? 'D j M, H:i' : 'D j M Y, H:i';

        return $local->format($format);
    }

    /** `Mon 9 Mar`, with the year where it is not this one. */
    public function date(int $instant): string
    {
        return strstr($this->words($instant), ',', true) ?: $this->words($instant);
    }

    /** As a wall-clock time in the plan format: `2026-03-09T09:00`. */
    public function wall(int $instant): string
    {
        return $this->local($instant)->format('Y-m-d\TH:i');
    }

    public function zone(): string
    {
        return ($this->school)()->zone;
    }

    /** `Oslo time`: the zone as people call it. */
    public function zoneName(): string
    {
        $zone = $this->zone();

        return str_contains($zone, '/') ? str_replace('_', ' ', substr($zone, strrpos($zone, '/') + 1)).' time' : $zone;
    }

    private function local(int $instant): DateTimeImmutable
    {
        return (new DateTimeImmutable('@'.$instant))->setTimezone(new DateTimeZone($this->zone()));
    }
}
