<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\PassMasks;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Time\Instant;

/** What one person has of one plan at an instant, and what they may come to within a time. */
final class PersonUnderPlan
{
    public readonly string $open;

    public readonly string $works;

    /** @param  int  $until  the last instant that is looked at */
    public function __construct(
        private readonly CompiledDecider $decider,
        private readonly Reaching $reaching,
        public readonly ViewerMasks $viewer,
        private readonly int $at,
        private readonly int $until,
    ) {
        [$this->open, $this->works] = $this->viewer->open($at);
    }

    /**
     * @param  ?string  $about  mask; of what does not depend on when these open nothing need be told. Null: of all
     * @return array{list<?int>, list<?int>} when each item is first open and first open to work in, at best
     */
    public function reach(?string $about = null): array
    {
        return $this->reaching->when($this->viewer, $this->at, $this->until + 1, $about);
    }

    /**
     * When what is open now is no longer open (no longer to work in, if it is so now), if only time moves.
     *
     * @return array<int, int> by position; what lasts throughout is left out
     */
    public function endings(): array
    {
        if (count($this->viewer->passes) === 1 && $this->viewer->goesByDatesAlone()) {
            return $this->endingsByDates($this->viewer->passes[0]);
        }
        $lookOnly = $this->open ^ $this->works;
        $lasting = $this->open;
        $endings = [];
        foreach ($this->shuttingInstants() as $instant) {
            [$open, $works] = $this->viewer->open($instant);
            $ended = $lasting & (($works | ($open & $lookOnly)) ^ $lasting);
            for ($item = strpos($ended, Mask::IN); $item !== false; $item = strpos($ended, Mask::IN, $item + 1)) {
                $endings[$item] = $instant;
            }
            $lasting ^= $ended;
        }

        return $endings;
    }

    /** @return array<int, int> */
    private function endingsByDates(PassMasks $pass): array
    {
        $course = $this->viewer->course;
        $endings = [];
        // What is open to look at only is so as a sample, for as long as the season lasts.
        $stretches = [[$this->open ^ $this->works, $course->prepared->course->closes ?? Instant::NEVER], [$this->works, $pass->stretch()[1]]];
        foreach ($stretches as [$items, $ends]) {
            if ($ends > $this->until) {
                continue;
            }
            for ($item = strpos($items, Mask::IN); $item !== false; $item = strpos($items, Mask::IN, $item + 1)) {
                $endings[$item] = min($endings[$item] ?? $ends, $ends);
            }
        }
        foreach ($pass->closings() as $step => $instant) {
            foreach ($instant > $this->until ? [] : $pass->pacing->closes()[$step] as $item) {
                if ($this->works[$item] === Mask::IN) {
                    $endings[$item] = min($endings[$item] ?? $instant, $instant);
                }
            }
        }

        return $endings;
    }

    /** @return list<int> */
    private function shuttingInstants(): array
    {
        return $this->decider->instants($this->viewer, $this->at, $this->until + 1, shutting: true);
    }

    /** What is open at a later instant, up to and including the last, if only time moves. */
    public function opensLater(): string
    {
        $course = $this->viewer->course;
        $later = $course->none;
        if ($this->viewer->goesByDatesAlone()) {
            foreach ($this->viewer->passes as $pass) {
                $later |= $pass->timelyWithin($this->at + 1, $this->until + 1) & $pass->footing($pass->pass->from)->inReach & $pass->progress($this->at)->passes() & $course->published;
            }
            $opens = $course->prepared->course->opens ?? PHP_INT_MIN;
            $first = max($this->at + 1, $opens);

            return $first <= $this->until && $first < ($course->prepared->course->closes ?? Instant::NEVER) ? $later | ($this->viewer->asSample($first) & $course->published) : $later;
        }
        foreach ($this->decider->instants($this->viewer, $this->at, $this->until + 1) as $instant) {
            $later |= $this->viewer->open($instant)[0];
        }

        return $later;
    }
}
