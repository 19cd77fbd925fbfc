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

    /** @var list<int> of what comes, ascending */
    private readonly array $instants;

    /** @var list<int> by the same places: a release step, or after all of these a closing step */
    private readonly array $steps;

    private readonly int $releaseSteps;

    /** @var list<list<int>> items by release step */
    private readonly array $releases;

    /** @var list<list<int>> items by closing step */
    private readonly array $closes;

    private int $next = 0;

    public function __construct(PassMasks $pass, int $at)
    {
        $this->releases = $pass->pacing->releases;
        $this->closes = $pass->pacing->everCloses ? $pass->pacing->closes() : [];
        $this->due = $pass->due($at);
        $this->closed = $pass->closed($at);
        $releases = $pass->releases();
        $this->releaseSteps = count($releases);
        $ahead = [];
        // When the pass has ended it does not matter any more what comes.
        $until = $pass->pass->until;
        foreach ($pass->pacing->everCloses ? [...$releases, ...$pass->closings()] : $releases as $step => $instant) {
            if ($instant > $at && $instant < $until) {
                $ahead[$step] = $instant;
            }
        }
        asort($ahead);
        $this->instants = array_values($ahead);
        $this->steps = array_keys($ahead);
        $this->comes = $this->instants[0] ?? Instant::NEVER;
    }

    /** What is released and not closed, at an instant at which the pass lasts and that is not before where it has come. */
    public function dueAt(int $at): string
    {
        if ($this->comes <= $at) {
            $nobody = $this->due ^ $this->due;
            $moved = [];
            while ($this->comes <= $at) {
                $this->come($nobody, $moved);
            }
        }

        return $this->due;
    }

    /**
     * Lets the next step come.
     *
     * @param  string  $asked  mask
     * @param  array<int, string>  $moved  of those asked about a byte each for what it releases or closes: whether it is due then
     */
    public function come(string $asked, array &$moved): void
    {
        $step = $this->steps[$this->next++];
        $this->comes = $this->instants[$this->next] ?? Instant::NEVER;
        if ($step < $this->releaseSteps) {
            foreach ($this->releases[$step] as $item) {
                if ($this->closed[$item] === Mask::OUT) {
                    $this->due[$item] = Mask::IN;
                    if ($asked[$item] === Mask::IN) {
                        $moved[$item] = Mask::IN;
                    }
                }
            }

            return;
        }
        foreach ($this->closes[$step - $this->releaseSteps] as $item) {
            $this->closed[$item] = Mask::IN;
            $this->due[$item] = Mask::OUT;
            if ($asked[$item] === Mask::IN) {
                $moved[$item] = Mask::OUT;
            }
        }
    }
}
