<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Ahead;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\PassMasks;

/** Time between two cuts, as one viewer goes through it: within it nothing but steps of these passes changes anything. */
final readonly class Stretch
{
    /**
     * @param  int  $until  the first instant that is no longer in it
     * @param  list<array{PassMasks, string}>  $sources  passes that open things, each with what it opens when it is time, and those that go with it
     * @param  string  $steady  mask of what is open otherwise
     */
    public function __construct(public int $from, public int $until, public array $sources, public string $steady)
    {
    }

    /** Whether a pass opens an item at an instant of it. */
    public function isOpenByPass(int $item, int $at): bool
    {
        foreach ($this->sources as [$pass, $opens]) {
            if ($opens[$item] === Mask::IN && $pass->releases()[$pass->pacing->releaseStep[$item]] <= $at && $at < $pass->closings()[$pass->pacing->closingStep[$item]]) {
                return true;
            }
        }

        return false;
    }
}
