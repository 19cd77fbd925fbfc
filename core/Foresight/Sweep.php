<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\PassMasks;
use SilentKeep\Core\Compiled\Progress;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Rules\ViewerKind;

/** One diligent viewer on the way through the instants, in ascending order. */
final class Sweep
{
    /** @var list<?int> when each item was first open */
    public array $open;

    /** @var list<?int> when each item was first open to work in */
    public array $works;

    /** @var array<int, int> what was finished on the way, and when */
    public array $finished = [];

    /** What has not been open yet. */
    private string $neverOpen;

    /** What has not been open to work in yet. */
    private string $neverWorked;

    private string $done;

    /** @var array<int, Progress> by the pass's place among the viewer's passes */
    private array $progress = [];

    private int $stretch = -1;

    public function __construct(private readonly ViewerMasks $viewer)
    {
        $course = $viewer->course;
        $this->open = $this->works = array_fill(0, $course->count, null);
        $this->neverOpen = $this->neverWorked = $viewer->viewer->staff ? $course->all : $course->published;
        $this->done = $viewer->doneMask;
    }

    public function at(int $at): void
    {
        $viewer = $this->viewer;
        $course = $viewer->course;
        if ($viewer->viewer->staff) {
            $this->note($course->all, $at);

            return;
        }
        if ($course->prepared->course->state === CourseState::Draft) {
            return;
        }
        $inSeason = $viewer->gate($at) === null;
        $free = $viewer->byGrant($at);
        if ($inSeason) {
            $free |= $viewer->asAnyone($at);
        }
        $looks = $viewer->viewer->signedIn ? $course->none : $free;
        $works = $viewer->viewer->signedIn ? $free : $course->none;
        if ($inSeason) {
            $looks |= $viewer->asSample() | $viewer->asGuest($at);
        }
        $this->noteOpen($looks, $at);
        $this->note($works, $at);
        if ($inSeason) {
            $this->byPasses($at);
        }
    }

    private function byPasses(int $at): void
    {
        $timely = [];
        $any = $this->viewer->course->none;
        foreach ($this->viewer->passes as $index => $pass) {
            if ($pass->isActive($at)) {
                $timely[$index] = $pass->timely($at, ViewerKind::Learner);
                $any |= $timely[$index];
            }
        }
        $stretch = $this->viewer->course->stretch($at);
        if ($stretch !== $this->stretch) {
            $this->progress = [];
            $this->stretch = $stretch;
        }
        do {
            $news = false;
            $candidates = $any & $this->neverWorked;
            for ($item = strpos($candidates, Mask::IN); $item !== false; $item = strpos($candidates, Mask::IN, $item + 1)) {
                foreach ($timely as $index => $mask) {
                    if ($mask[$item] === Mask::IN && $this->progressOf($index, $this->viewer->passes[$index], $at)->passesFor($item)) {
                        $this->noteOne($item, $at);
                        $news = true;
                        break;
                    }
                }
            }
        } while ($news);
    }

    private function progressOf(int $index, PassMasks $pass, int $at): Progress
    {
        return $this->progress[$index] ??= new Progress($this->viewer->course, $pass->eligible($at), $this->done);
    }

    /** Everything here is open to work in. */
    private function note(string $items, int $at): void
    {
        $new = $items & $this->neverWorked;
        for ($item = strpos($new, Mask::IN); $item !== false; $item = strpos($new, Mask::IN, $item + 1)) {
            $this->noteOne($item, $at);
        }
    }

    private function noteOne(int $item, int $at): void
    {
        $this->works[$item] = $at;
        $this->neverWorked[$item] = Mask::OUT;
        if ($this->neverOpen[$item] === Mask::IN) {
            $this->open[$item] = $at;
            $this->neverOpen[$item] = Mask::OUT;
        }
        if ($this->done[$item] === Mask::OUT && $this->viewer->course->lessonsAndParts[$item] === Mask::IN) {
            $this->done[$item] = Mask::IN;
            $this->finished[$item] = $at;
            foreach ($this->progress as $progress) {
                $progress->finish($item);
            }
        }
    }

    /** Everything here is open at least to look at. */
    private function noteOpen(string $items, int $at): void
    {
        $new = $items & $this->neverOpen;
        for ($item = strpos($new, Mask::IN); $item !== false; $item = strpos($new, Mask::IN, $item + 1)) {
            $this->open[$item] = $at;
        }
        $this->neverOpen ^= $new;
    }
}
