<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight\Sweeps;

use SilentKeep\Core\Compiled\CompiledCourse;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Viewing\Viewer;

/**
 * One diligent viewer on the way through the instants, in ascending order, round by round as reach is defined: for courses whose
 * conditions ask what is done, where finishing one thing may open or shut any other.
 *
 * @see \SilentKeep\Core\Foresight\Definition\SteppingReach for the same, decided item by item
 */
final class Rounds
{
    /** @var list<?int> when each item was open for the first time */
    public array $open;

    /** @var list<?int> when each item was open to work in for the first time */
    public array $works;

    /** Whoever is observed finishes nothing. */
    private Viewer $viewer;

    /** What has been open; what has been open to work in. */
    private string $opened;

    private string $worked;

    /** @param  int  $from  what is done later is ignored */
    public function __construct(private readonly CompiledCourse $course, Viewer $viewer, int $from)
    {
        $this->viewer = Decider::asOf($viewer, $from);
        $this->open = $this->works = array_fill(0, $course->count, null);
        $this->opened = $this->worked = $course->none;
    }

    public function at(int $at): void
    {
        do {
            $masks = new ViewerMasks($this->course, $this->viewer, $at);
            [$open, $works] = $masks->open($at);
            $news = $this->note($this->open, $this->opened, $open, $at);
            $news = $this->note($this->works, $this->worked, $works, $at) || $news;
            $finished = $works & $this->course->lessonsAndParts & ($masks->done ^ $this->course->all);
            if (str_contains($finished, Mask::IN)) {
                $this->finish($finished, $at);
                $news = true;
            }
        } while ($news);
    }

    /**
     * @param  list<?int>  $firsts
     * @param  string  $before  what was noted already
     */
    private function note(array &$firsts, string &$before, string $now, int $at): bool
    {
        $new = $now & ($before ^ $this->course->all);
        if (! str_contains($new, Mask::IN)) {
            return false;
        }
        foreach ($firsts as $item => $first) {
            $firsts[$item] = $new[$item] === Mask::IN ? $at : $first;
        }
        $before |= $new;

        return true;
    }

    private function finish(string $items, int $at): void
    {
        $done = $this->viewer->done;
        for ($item = strpos($items, Mask::IN); $item !== false; $item = strpos($items, Mask::IN, $item + 1)) {
            $done[$this->course->outline->items[$item]->key] = $at;
        }
        $this->viewer = $this->viewer->withDone($done);
    }
}
