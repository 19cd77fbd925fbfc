<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Ahead;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Time\Instant;

/** The steps of all passes that open things within one stretch of time, as they come one instant after another. */
final class PassesAhead
{
    /** The instant of the next step; {@see Instant::NEVER}: there is none. */
    public int $comes;

    /**
     * @param  list<StepsAhead>  $ahead  of each pass
     * @param  list<string>  $opens  by the same places: what each opens when it is time
     */
    public function __construct(private readonly array $ahead, private readonly array $opens)
    {
        $this->comes = $this->next();
    }

    private function next(): int
    {
        $comes = Instant::NEVER;
        foreach ($this->ahead as $steps) {
            if ($steps->comes < $comes) {
                $comes = $steps->comes;
            }
        }

        return $comes;
    }

    /**
     * Lets the steps of the next instant come.
     *
     * @param  string  $asked  mask
     * @return array<int, string> of those asked about that may open or close by them, a byte each: whether one of the passes opens it then
     */
    public function come(string $asked): array
    {
        $instant = $this->comes;
        $moved = [];
        foreach ($this->ahead as $pass => $steps) {
            if ($steps->comes === $instant) {
                $moved = $steps->come($this->opens[$pass] & $asked) + $moved;
            }
        }
        $this->comes = $this->next();

        return $this->byAny($moved);
    }

    /**
     * @param  array<int, string>  $moved  by one of them
     * @return array<int, string> by any
     */
    private function byAny(array $moved): array
    {
        foreach ($moved as $item => $open) {
            foreach ($open === Mask::IN ? [] : $this->ahead as $pass => $steps) {
                $moved[$item] |= $this->opens[$pass][$item] & $steps->due[$item];
            }
        }

        return $moved;
    }
}
