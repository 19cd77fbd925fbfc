<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Dates;

/** On which ladder of {@see Steps} a release step stands, and how high: steps are numbered ladder by ladder. */
final readonly class ReleasedAt
{
    /**
     * @param  list<int>  $plain
     * @param  list<int>  $timed
     * @param  list<int>  $datedWalls
     * @param  list<Ladder>  $weekly
     */
    public function __construct(private array $plain, private array $timed, private array $datedWalls, private array $weekly)
    {
    }

    /** Seconds after the midnight before the beginning; null: not a timed step. Never before the beginning, if that is later. */
    public function afterMidnight(int $step): ?int
    {
        return $this->timed[$step - 1 - count($this->plain)] ?? null;
    }

    /** Wall-clock time; null: not a dated step. Never before the beginning, if that is later. */
    public function wall(int $step): ?int
    {
        return $this->datedWalls[$step - 1 - count($this->plain) - count($this->timed)] ?? null;
    }

    /**
     * Seconds after the beginning, at the least.
     *
     * @param  int  $weekday  of the beginning, from 0, Monday
     */
    public function afterBeginning(int $step, int $weekday): int
    {
        $weekly = $step - 1 - count($this->plain) - count($this->timed) - count($this->datedWalls);

        return $this->plain[$step - 1] ?? (isset($this->weekly[$weekday]) ? $this->weekly[$weekday]->heights[$weekly] ?? 0 : 0);
    }
}
