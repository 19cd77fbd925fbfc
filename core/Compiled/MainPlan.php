<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Time\Instant;

/** The dates of the main plan, as they bind those who come without a pass. */
final class MainPlan
{
    public readonly string $held;

    /** @var list<int> at which something opens, ascending */
    private readonly array $opens;

    /** @var list<int> at which something closes, ascending */
    private readonly array $closes;

    /** Of each item the last opening of its path, by its place among them. */
    private readonly Gather $byOpening;

    /** Of each item the first closing of its path. */
    private readonly Gather $byClosing;

    private readonly string $all;

    private int $at = PHP_INT_MIN;

    private string $notYet;

    private string $closed;

    public function __construct(CourseMasks $course)
    {
        $plan = $course->prepared->course->mainPlan;
        $held = [];
        /** @var array<int, int> $opens */
        $opens = [];
        /** @var array<int, int> $closes */
        $closes = [];
        foreach ($course->outline->parent as $at => $above) {
            $entry = $plan->entries[$at] ?? null;
            $dated = $entry?->opens->dated();
            $held[] = $dated === Instant::NEVER || ($above >= 0 && $held[$above]);
            $opens[$at] = max($above >= 0 ? $opens[$above] : PHP_INT_MIN, $dated === null || $dated === Instant::NEVER ? PHP_INT_MIN : $dated);
            $closes[$at] = min($above >= 0 ? $closes[$above] : PHP_INT_MAX, $entry?->closes instanceof ClosesOn ? $entry->closes->at : PHP_INT_MAX);
        }
        $this->held = Mask::of($held);
        $opens = array_filter($opens, static fn (int $at): bool => $at !== PHP_INT_MIN);
        $closes = array_filter($closes, static fn (int $at): bool => $at !== PHP_INT_MAX);
        $this->opens = self::ascending($opens);
        $this->closes = self::ascending($closes);
        $this->byOpening = new Gather(self::places($opens, $this->opens), $course->count);
        $this->byClosing = new Gather(self::places($closes, $this->closes), $course->count);
        $this->all = $course->all;
        $this->notYet = $this->closed = $course->none;
    }

    /**
     * @param  array<int, int>  $instants
     * @return list<int> each once
     */
    private static function ascending(array $instants): array
    {
        $instants = array_values(array_unique($instants));
        sort($instants);

        return $instants;
    }

    /**
     * @param  array<int, int>  $instants  by item
     * @param  list<int>  $ascending
     * @return array<int, int> by item
     */
    private static function places(array $instants, array $ascending): array
    {
        $places = array_flip($ascending);

        return array_map(static fn (int $at): int => $places[$at], $instants);
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
        return $shutting ? $this->closes : [...$this->opens, ...$this->closes];
    }

    private function moveTo(int $at): void
    {
        if ($at === $this->at) {
            return;
        }
        $this->at = $at;
        if ($this->opens !== []) {
            $this->notYet = $this->byOpening->from(self::flags($this->opens, $at, Mask::OUT, Mask::IN));
        }
        if ($this->closes !== []) {
            $this->closed = $this->byClosing->from(self::flags($this->closes, $at, Mask::IN, Mask::OUT));
        }
    }

    /**
     * @param  list<int>  $ascending
     * @return string a byte an instant: one for those that are past, another for those that are to come
     */
    private static function flags(array $ascending, int $at, string $past, string $toCome): string
    {
        $flags = '';
        foreach ($ascending as $instant) {
            $flags .= $instant <= $at ? $past : $toCome;
        }

        return $flags;
    }
}
