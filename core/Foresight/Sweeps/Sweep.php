<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight\Sweeps;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\Order\Progress;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Rules\ViewerKind;

/** One diligent viewer on the way through the instants, in ascending order. */
final class Sweep
{
    /** @var array<int, string> what was open for the first time, by instant */
    public array $opened = [];

    /** @var array<int, string> what was open to work in for the first time, by instant */
    public array $worked = [];

    /** What has not been open yet. */
    private string $neverOpen;

    /** What has not been open to work in yet. */
    private string $neverWorked;

    private string $done;

    /** @var array<int, Progress> by the pass's place among the viewer's passes */
    private array $progress = [];

    private int $stretch = -1;

    /** Whether anything but a pass can lead this viewer anywhere. */
    private readonly bool $otherRoutes;

    public function __construct(private readonly ViewerMasks $viewer)
    {
        $course = $viewer->course;
        $this->neverOpen = $this->neverWorked = $viewer->viewer->staff ? $course->all : $course->published;
        $this->done = $viewer->done;
        $this->otherRoutes = $viewer->grants !== [] || $viewer->observed !== null || $viewer->viewer->guest || $course->hasSamples || $course->prepared->course->entry === Entry::Anyone;
    }

    public function at(int $at): void
    {
        $viewer = $this->viewer;
        $course = $viewer->course;
        if ($viewer->viewer->staff) {
            $this->note($at, $course->none, $course->all);

            return;
        }
        if ($course->prepared->course->state === CourseState::Draft) {
            return;
        }
        $inSeason = $viewer->gate($at) === null;
        if ($this->otherRoutes) {
            $this->byOtherRoutes($at, $inSeason);
        }
        if ($inSeason && $viewer->passes !== []) {
            $this->byPasses($at);
        }
    }

    private function byOtherRoutes(int $at, bool $inSeason): void
    {
        $viewer = $this->viewer;
        $free = $viewer->byGrant($at);
        if ($inSeason) {
            $free |= $viewer->asAnyone($at);
        }
        $looks = $viewer->viewer->signedIn ? $viewer->course->none : $free;
        $works = $viewer->viewer->signedIn ? $free : $viewer->course->none;
        if ($inSeason) {
            // Whoever is observed finishes nothing on the way: what they come to comes by time.
            $looks |= $viewer->asSample($at) | $viewer->asObserver($at) | $viewer->asGuest($at);
        }
        $this->note($at, $looks, $works);
    }

    private function byPasses(int $at): void
    {
        $stretch = $this->viewer->labels->stretch($at);
        if ($stretch !== $this->stretch) {
            $this->progress = [];
            $this->stretch = $stretch;
        }
        $timely = [];
        $candidates = $this->viewer->course->none;
        foreach ($this->viewer->passes as $index => $pass) {
            if ($pass->isActive($at)) {
                $timely[$index] = $pass->timely($at, ViewerKind::Learner) & $this->neverWorked;
                $candidates |= $timely[$index];
            }
        }
        if (! str_contains($candidates, Mask::IN)) {
            return;
        }
        // Where nothing has to come first, time is all it takes.
        $works = $candidates & $this->viewer->course->ungated;
        $this->note($at, $works, $works);
        foreach (array_keys($timely) as $index) {
            $this->progress[$index] ??= new Progress($this->viewer->course, $this->viewer->passes[$index]->footing($at)->precedence, $this->done);
        }
        do {
            $news = false;
            foreach ($timely as $index => $mask) {
                $new = $this->inTheirTurn($this->progress[$index], $mask & $this->neverWorked);
                if (str_contains($new, Mask::IN)) {
                    $this->note($at, $new, $new, $this->progress[$index]);
                    $news = true;
                }
            }
        } while ($news);
    }

    /**
     * Which of these open one after the other, in reading order, when each is finished as soon as it opens.
     * What is finished is told to this progress at once.
     */
    private function inTheirTurn(Progress $progress, string $candidates): string
    {
        $course = $this->viewer->course;
        $lessonsAndParts = $course->lessonsAndParts;
        $behindOne = $progress->turns()->behindOne;
        $done = $this->done;
        $new = $course->none;
        for ($item = strpos($candidates, Mask::IN); $item !== false; $item = strpos($candidates, Mask::IN, $item + 1)) {
            // Done already, it is complete, and stays open whatever comes before it.
            if ($done[$item] === Mask::OUT) {
                if (isset($behindOne[$item])) {
                    if ($done[$behindOne[$item]] === Mask::OUT) {
                        continue;
                    }
                } elseif (! $progress->passesFor($item)) {
                    continue;
                }
                if ($lessonsAndParts[$item] === Mask::IN) {
                    $done[$item] = Mask::IN;
                    $progress->finish($item);
                }
            }
            $new[$item] = Mask::IN;
        }

        return $new;
    }

    /**
     * @param  string  $looks  what is open at least to look at
     * @param  string  $works  what is open to work in
     * @param  ?Progress  $knows  which has been told already
     */
    private function note(int $at, string $looks, string $works, ?Progress $knows = null): void
    {
        $opened = ($looks | $works) & $this->neverOpen;
        if (str_contains($opened, Mask::IN)) {
            $this->opened[$at] = ($this->opened[$at] ?? $this->viewer->course->none) | $opened;
            $this->neverOpen ^= $opened;
        }
        $worked = $works & $this->neverWorked;
        if (! str_contains($worked, Mask::IN)) {
            return;
        }
        $this->worked[$at] = ($this->worked[$at] ?? $this->viewer->course->none) | $worked;
        $this->neverWorked ^= $worked;
        $finished = $worked & $this->viewer->course->lessonsAndParts & ($this->done ^ $this->viewer->course->all);
        $this->done |= $finished;
        foreach ($this->progress as $progress) {
            if ($progress !== $knows) {
                $progress->finishAll($finished);
            }
        }
    }
}
