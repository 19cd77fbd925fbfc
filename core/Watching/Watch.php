<?php

declare(strict_types=1);

namespace SilentKeep\Core\Watching;

/**
 * One viewer watching one video, as the server believes it.
 *
 * A report credits no more new coverage than the real time since the last report (or since the lesson was
 * opened) times the fastest allowed speed, plus a margin; and all reports together no more than the real time
 * since the lesson was first opened allows. The second keeps a burst of reports from adding up their margins.
 */
final readonly class Watch
{
    /** Seconds by which clocks and networks may be late. */
    public const MARGIN = 3.0;

    /**
     * @param  int  $openedAt  instant at which the lesson was first opened
     * @param  int  $heardAt  instant of the last report, or of the last opening of the lesson
     * @param  float  $credited  seconds of new coverage credited so far
     */
    private function __construct(public Coverage $coverage, public int $openedAt, public int $heardAt, public float $credited)
    {
    }

    public static function opened(Coverage $coverage, int $at): self
    {
        return new self($coverage, $at, $at, 0.0);
    }

    /**
     * As it was kept.
     *
     * @param  int  $openedAt  instant
     * @param  int  $heardAt  instant
     * @param  float  $credited  seconds
     */
    public static function kept(Coverage $coverage, int $openedAt, int $heardAt, float $credited): self
    {
        return new self($coverage, $openedAt, $heardAt, $credited);
    }

    /** The lesson is opened again: the time away was not spent watching. */
    public function reopened(int $at): self
    {
        return new self($this->coverage, $this->openedAt, max($this->heardAt, $at), $this->credited);
    }

    /**
     * @param  int  $at  when the report came in, by the server's clock; one from before the last counts as no time
     * @param  float  $fastest  speed at which the player may run, 1 being that of life
     */
    public function report(PlayedSegments $played, int $at, float $fastest): self
    {
        $sinceLast = max(0, $at - $this->heardAt) * $fastest + self::MARGIN;
        $inAll = max(0, $at - $this->openedAt) * $fastest + self::MARGIN - $this->credited;
        $coverage = $this->coverage->with($played, max(0.0, min($sinceLast, $inAll)));

        return new self(
            $coverage,
            $this->openedAt,
            max($this->heardAt, $at),
            $this->credited + $coverage->seconds() - $this->coverage->seconds(),
        );
    }

    public function isFinished(float $share): bool
    {
        // Sums of fractions of seconds come out a hair below what they should be.
        return $this->coverage->share() >= $share - 1e-9;
    }
}
