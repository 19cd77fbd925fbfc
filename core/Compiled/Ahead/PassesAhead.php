<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Ahead;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Time\Instant;

/** The steps of all passes that open things within one stretch of time, as they come one instant after another. */
final readonly class PassesAhead
{
    /**
     * @param  list<StepsAhead>  $ahead  of each pass
     * @param  list<string>  $opens  by the same places: what each opens when it is time, of what is asked about
     */
    public function __construct(private array $ahead, private array $opens)
    {
    }

    /** The instant of the next step; {@see Instant::NEVER}: there is none. */
    public function comes(): int
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
     * Lets the steps of an instant come.
     *
     * @return list<int> items that may open or close by them, now and then one twice
     */
    public function come(int $instant): array
    {
        $moved = [];
        foreach ($this->ahead as $pass => $steps) {
            while ($steps->comes === $instant) {
                foreach ($steps->come() as $item) {
                    if ($this->opens[$pass][$item] === Mask::IN) {
                        $moved[] = $item;
                    }
                }
            }
        }

        return $moved;
    }

    /** Whether one of them opens it where it has come to. */
    public function open(int $item): bool
    {
        foreach ($this->ahead as $pass => $steps) {
            if ($this->opens[$pass][$item] === Mask::IN && $steps->due[$item] === Mask::IN) {
                return true;
            }
        }

        return false;
    }
}
