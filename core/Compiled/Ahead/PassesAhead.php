<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Ahead;

use SilentKeep\Core\Time\Instant;

/** What is open by passes and otherwise within one stretch of time, as their steps come one instant after another. */
final class PassesAhead
{
    /** The instant of the next step; {@see Instant::NEVER}: there is none. */
    public int $comes = Instant::NEVER;

    /** @var array<int, string> what each opens where it has come to */
    private array $opened = [];

    /** @var array<int, string> what each opens of that which is asked about, when it is time */
    private array $asked = [];

    /**
     * @param  list<StepsAhead>  $ahead  of each pass
     * @param  list<string>  $opens  by the same places: what each opens when it is time
     * @param  string  $steady  mask of what is open otherwise
     */
    public function __construct(private readonly array $ahead, private readonly array $opens, private readonly string $steady)
    {
        foreach ($ahead as $steps) {
            $this->comes = $steps->comes < $this->comes ? $steps->comes : $this->comes;
        }
    }

    /**
     * Lets the steps of the next instant come.
     *
     * @param  string  $about  mask of what is asked about, the same each time
     * @return ?string what is open then, at least of that; null: they move nothing of it
     */
    public function come(string $about): ?string
    {
        $instant = $this->comes;
        $this->comes = Instant::NEVER;
        $moves = false;
        foreach ($this->ahead as $pass => $steps) {
            if ($steps->comes === $instant && $steps->come($this->asked[$pass] ??= $this->opens[$pass] & $about)) {
                $this->opened[$pass] = $this->opens[$pass] & $steps->due;
                $moves = true;
            }
            if ($steps->comes < $this->comes) {
                $this->comes = $steps->comes;
            }
        }

        return $moves ? $this->open() : null;
    }

    private function open(): string
    {
        $open = $this->steady;
        foreach ($this->ahead as $pass => $steps) {
            $open |= $this->opened[$pass] ??= $this->opens[$pass] & $steps->due;
        }

        return $open;
    }
}
