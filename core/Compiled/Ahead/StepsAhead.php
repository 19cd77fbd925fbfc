<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Ahead;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\PassMasks;
use SilentKeep\Core\Time\Instant;

/** The steps of one pass in the order in which they come, for whoever goes through time with it: each is come upon once. */
final class StepsAhead
{
    private string $released;

    private string $closed;

    /** @var list<int> of what comes, ascending */
    private readonly array $instants;

    /** @var list<int> by the same places: a release step, or after all of these a closing step */
    private readonly array $steps;

    private readonly int $releaseSteps;

    private int $next = 0;

    public function __construct(private readonly PassMasks $pass, int $at)
    {
        $this->released = $pass->released($at);
        $this->closed = $pass->closed($at);
        $releases = $pass->releases();
        $this->releaseSteps = count($releases);
        $ahead = [];
        foreach ($pass->profile->everCloses ? [...$releases, ...$pass->closings()] : $releases as $step => $instant) {
            if ($instant > $at && $instant !== Instant::NEVER) {
                $ahead[$step] = $instant;
            }
        }
        asort($ahead);
        $this->instants = array_values($ahead);
        $this->steps = array_keys($ahead);
    }

    /** What is released and not closed, at an instant that is not before where it has come. */
    public function due(int $at): string
    {
        while (($this->instants[$this->next] ?? Instant::NEVER) <= $at) {
            $this->come();
        }

        return $this->released & ~$this->closed;
    }

    /**
     * @return array<int, list<list<int>>> items that are released or close from where it has come to before an instant, by instant, ascending
     */
    public function before(int $until): array
    {
        $before = [];
        while (($this->instants[$this->next] ?? Instant::NEVER) < $until) {
            $before[$this->instants[$this->next]][] = $this->come();
        }

        return $before;
    }

    /** @return list<int> items of the next step, which comes now */
    private function come(): array
    {
        $step = $this->steps[$this->next++];
        if ($step < $this->releaseSteps) {
            $items = $this->pass->profile->releases[$step];
            foreach ($items as $item) {
                $this->released[$item] = Mask::IN;
            }
        } else {
            $items = $this->pass->profile->closes()[$step - $this->releaseSteps];
            foreach ($items as $item) {
                $this->closed[$item] = Mask::IN;
            }
        }

        return $items;
    }
}
