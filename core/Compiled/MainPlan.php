<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\Admission;
use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Time\Instant;

/** The dates of the main plan, as they bind those who come without a pass. */
final class MainPlan
{
    public readonly string $held;

    /** @var list<array{int, string}> */
    private readonly array $opens;

    /** @var list<array{int, string}> */
    private readonly array $closes;

    /** Barred by a relative opening, for those who come by the guest door. */
    public readonly string $barsGuests;

    public readonly string $barsObservers;

    public readonly string $barsNobody;

    private readonly string $all;

    private int $at = PHP_INT_MIN;

    private string $notYet;

    private string $closed;

    public function __construct(CourseMasks $course)
    {
        $this->held = self::heldIn($course);
        [$this->opens, $this->closes] = self::datesIn($course);
        $this->barsGuests = self::barredByRelativeOpenings($course, $course->prepared->guests);
        $this->barsObservers = self::barredByRelativeOpenings($course, $course->prepared->observers);
        $this->barsNobody = $course->none;
        $this->all = $course->all;
        $this->notYet = $this->closed = $course->none;
    }

    /** @param  string  $bars  one of the masks above */
    public function allows(int $at, string $bars): string
    {
        $this->moveTo($at);

        return ($this->held | $this->notYet | $bars | $this->closed) ^ $this->all;
    }

    public function notYet(int $at, string $bars): string
    {
        $this->moveTo($at);

        return $this->notYet | $bars;
    }

    public function closed(int $at): string
    {
        $this->moveTo($at);

        return $this->closed;
    }

    /**
     * @param  bool  $shutting  only those at which something may shut
     * @return list<int>
     */
    public function instants(bool $shutting): array
    {
        return array_map(static fn (array $dated): int => $dated[0], $shutting ? $this->closes : [...$this->opens, ...$this->closes]);
    }

    private function moveTo(int $at): void
    {
        if ($at === $this->at) {
            return;
        }
        $this->at = $at;
        $this->notYet = $this->closed = $this->barsNobody;
        foreach ($this->opens as [$instant, $items]) {
            if ($at < $instant) {
                $this->notYet |= $items;
            }
        }
        foreach ($this->closes as [$instant, $items]) {
            if ($at >= $instant) {
                $this->closed |= $items;
            }
        }
    }

    /**
     * Relative openings of the main plan that bar those who come by a door.
     */
    private static function barredByRelativeOpenings(CourseMasks $course, Admission $door): string
    {
        $barred = [];
        foreach ($course->outline->path as $at => $path) {
            $bars = false;
            foreach ($path as $step) {
                $opening = $course->prepared->course->mainPlan?->opening($step);
                $deciding = $door->deciding[$at];
                $bars = $bars || ($opening?->isRelative() === true && ($deciding === null || $deciding < $step));
            }
            $barred[] = $bars;
        }

        return Mask::of($barred);
    }

    private static function heldIn(CourseMasks $course): string
    {
        $held = $course->none;
        foreach (array_keys($course->outline->items) as $at) {
            if ($course->prepared->course->mainPlan?->opening($at)?->dated() === Instant::NEVER) {
                $held |= $course->subtree($at);
            }
        }

        return $held;
    }

    /** @return array{list<array{int, string}>, list<array{int, string}>} dated openings and closings of the main plan, each with what it rules */
    private static function datesIn(CourseMasks $course): array
    {
        $opens = $closes = [];
        foreach (array_keys($course->outline->items) as $at) {
            $dated = $course->prepared->course->mainPlan?->opening($at)?->dated();
            $closing = $course->prepared->course->mainPlan?->closing($at);
            if ($dated !== null && $dated !== Instant::NEVER) {
                $opens[] = [$dated, $course->subtree($at)];
            }
            if ($closing instanceof ClosesOn) {
                $closes[] = [$closing->at, $course->subtree($at)];
            }
        }

        return [$opens, $closes];
    }
}
