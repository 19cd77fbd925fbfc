<?php

declare(strict_types=1);

namespace App\Database;

use Closure;
use Psr\Clock\ClockInterface;

/** In whose name rows are written now, and why: the ledger keeps it with each of them. One for a request, a job or a command. */
final class Hand
{
    private string $by = 'program';

    private string $cause = '';

    /** The instant that was read last. */
    private int $at = 0;

    public function __construct(private readonly ClockInterface $clock)
    {
    }

    /**
     * From now on.
     *
     * @param  string  $by  who, as `person 12`, `trigger 3`, `shop`, `schedule`
     * @param  string  $cause  what for, in the words of the program: the name of a route, a job, a command, or a row as `act 7`
     */
    public function is(string $by, string $cause): void
    {
        [$this->by, $this->cause] = [$by, $cause];
    }

    /**
     * While something is done.
     *
     * @template T
     *
     * @param  ?string  $by  null: whoever it is anyway
     * @param  Closure(): T  $do
     * @return T
     */
    public function while(?string $by, string $cause, Closure $do): mixed
    {
        $before = [$this->by, $this->cause];
        $this->is($by ?? $this->by, $cause);
        try {
            return $do();
        } finally {
            [$this->by, $this->cause] = $before;
        }
    }

    /**
     * While something is done, for whoever is at work here.
     *
     * @template T
     *
     * @param  int|string|null  $by  the number of a person; or who else; null: whoever it is anyway
     * @param  Closure(): T  $do
     * @return T
     */
    public static function writes(int|string|null $by, string $cause, Closure $do): mixed
    {
        return app(self::class)->while(is_int($by) ? "person {$by}" : $by, $cause, $do);
    }

    public function by(): string
    {
        return $this->by;
    }

    public function cause(): string
    {
        return $this->cause;
    }

    /** Seconds since 1970, as the clock has it now. */
    public function now(): int
    {
        return $this->at = $this->clock->now()->getTimestamp();
    }

    /** The same as it was told last: of one entry it is told twice. */
    public function told(): int
    {
        return $this->at;
    }
}
