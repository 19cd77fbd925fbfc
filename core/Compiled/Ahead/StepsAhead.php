<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Ahead;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\PassMasks;
use SilentKeep\Core\Time\Instant;

/** The steps of one pass in the order in which they come, for whoever goes through time with it: each is come upon once. */
final class StepsAhead
{
    /** Mask of what is released and not closed, where it has come to. */
    public string $due;

    /** The instant of the next step while the pass lasts; {@see Instant::NEVER}: there is none. */
    public int $comes;

    private string $closed;

    /** @var list<int> of what comes, ascending, and maybe of what has come before */
    private readonly array $instants;

    /** @var list<int> by the same places: a release step, or after all of these a closing step */
    private readonly array $steps;

    private readonly int $releaseSteps;

    /** @var list<list<int>> items by release step */
    private readonly array $releases;

    /** @var list<list<int>> items by closing step */
    private readonly array $closes;

    private int $next;

    public function __construct(PassMasks $pass, int $at)
    {
        $this->releases = $pass->pacing->releases;
        $this->closes = $pass->pacing->everCloses ? $pass->pacing->closes() : [];
        $this->due = $pass->due($at);
        $this->closed = $pass->closed($at);
        $this->releaseSteps = count($this->releases);
        [$this->instants, $this->steps, $this->next] = $pass->stepsAhead($at);
        $this->comes = $this->instants[$this->next] ?? Instant::NEVER;
    }

    /** What is released and not closed, at an instant at which the pass lasts and that is not before where it has come. */
    public function dueAt(int $at): string
    {
        if ($this->comes <= $at) {
            $nobody = $this->due ^ $this->due;
            while ($this->comes <= $at) {
                $this->come($nobody);
            }
        }

        return $this->due;
    }

    /**
     * Lets all steps of the next instant come.
     *
     * @param  string  $asked  mask
     * @return bool whether one of those asked about is released or closes
     */
    public function come(string $asked): bool
    {
        $instant = $this->comes;
        $due = $this->due;
        $closed = $this->closed;
        // Nobody else holds them now, so that they are not copied to be written.
        $this->due = $this->closed = '';
        $moves = false;
        do {
            $step = $this->steps[$this->next++];
            $this->comes = $this->instants[$this->next] ?? Instant::NEVER;
            if ($step < $this->releaseSteps) {
                foreach ($this->releases[$step] as $item) {
                    if ($closed[$item] === Mask::OUT) {
                        $due[$item] = Mask::IN;
                        $moves = $moves || $asked[$item] === Mask::IN;
                    }
                }
            } else {
                foreach ($this->closes[$step - $this->releaseSteps] as $item) {
                    $closed[$item] = Mask::IN;
                    $due[$item] = Mask::OUT;
                    $moves = $moves || $asked[$item] === Mask::IN;
                }
            }
        } while ($this->comes === $instant);
        $this->due = $due;
        $this->closed = $closed;

        return $moves;
    }
}
