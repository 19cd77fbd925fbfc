<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

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

    public function __construct(CompiledCourse $course)
    {
        $this->held = $course->heldByMainPlan();
        [$this->opens, $this->closes] = $course->datesOfMainPlan();
        $this->barsGuests = $course->barredByRelativeOpenings($course->prepared->guests);
        $this->barsObservers = $course->barredByRelativeOpenings($course->prepared->observers);
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
}
