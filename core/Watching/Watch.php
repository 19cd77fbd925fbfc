<?php

declare(strict_types=1);

namespace SilentKeep\Core\Watching;

/**
 * One viewer watching one video, as the server believes it.
 *
 * A report credits no more new coverage than the real time since the last report (or since the lesson was opened) times
 * the fastest allowed speed, plus a margin. What of the margin was used comes back only as time passes that was not
 * credited: a burst of reports has one margin together, whenever it comes.
 */
final readonly class Watch
{
    /** Seconds by which clocks and networks may be late. */
    public const MARGIN = 3.0;

    /**
     * @param  int  $heardAt  instant of the last report, or of the last opening of the lesson
     * @param  float  $spare  seconds of the margin that are left, from 0 to the whole
     */
    private function __construct(public WatchedStretches $coverage, public int $heardAt, public float $spare)
    {
    }

    /** The lesson is opened for the first time. */
    public static function opened(WatchedStretches $coverage, int $at): self
    {
        return new self($coverage, $at, self::MARGIN);
    }

    /**
     * As it was kept.
     *
     * @param  int  $heardAt  instant
     * @param  float  $spare  seconds
     */
    public static function kept(WatchedStretches $coverage, int $heardAt, float $spare): self
    {
        return new self($coverage, $heardAt, $spare);
    }

    /** The lesson is opened again: the time away was not spent watching. */
    public function reopened(int $at): self
    {
        return new self($this->coverage, max($this->heardAt, $at), $this->spare);
    }

    /**
     * @param  int  $at  when the report came in, by the server's clock; one from before the last brings nothing
     * @param  float  $fastest  speed at which the player may run, 1 being that of life
     */
    public function report(PlayedSegments $played, int $at, float $fastest): self
    {
        if ($at < $this->heardAt) {
            return $this;
        }
        $allowed = ($at - $this->heardAt) * $fastest + $this->spare;
        $coverage = $this->coverage->with($played, $allowed);
        $taken = $coverage->seconds() - $this->coverage->seconds();

        return new self($coverage, $at, max(0.0, min(self::MARGIN, $allowed - $taken)));
    }

    public function isFinished(float $share): bool
    {
        // Sums of fractions of seconds come out a hair below what they should be.
        return $this->coverage->share() >= $share - 1e-9;
    }
}
