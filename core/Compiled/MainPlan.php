<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

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

    private readonly string $none;

    private readonly string $all;

    private int $at = PHP_INT_MIN;

    private string $notYet;

    private string $closed;

    public function __construct(CourseMasks $course)
    {
        $this->held = self::heldIn($course);
        [$this->opens, $this->closes] = self::datesIn($course);
        $this->none = $course->none;
        $this->all = $course->all;
        $this->notYet = $this->closed = $course->none;
    }

    /** @param  string  $bars  where openings that count from a pass bar the way, as {@see Doors} has it; nowhere to those who come by none */
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
        $this->notYet = $this->closed = $this->none;
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

    private static function heldIn(CourseMasks $course): string
    {
        $held = $course->none;
        foreach ($course->prepared->course->mainPlan->entries ?? [] as $at => $entry) {
            if ($entry->opens->dated() === Instant::NEVER) {
                $held |= $course->subtree($at);
            }
        }

        return $held;
    }

    /** @return array{list<array{int, string}>, list<array{int, string}>} dated openings and closings of the main plan, each with what it rules */
    private static function datesIn(CourseMasks $course): array
    {
        $opens = $closes = [];
        foreach ($course->prepared->course->mainPlan->entries ?? [] as $at => $entry) {
            $dated = $entry->opens->dated();
            if ($dated !== null && $dated !== Instant::NEVER) {
                $opens[] = [$dated, $course->subtree($at)];
            }
            if ($entry->closes instanceof ClosesOn) {
                $closes[] = [$entry->closes->at, $course->subtree($at)];
            }
        }

        return [$opens, $closes];
    }
}
