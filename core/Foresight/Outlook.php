<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Viewing\Viewer;

/** What one person has of one plan at an instant, and what they may come to within a time. */
final class Outlook
{
    public readonly string $open;

    public readonly string $works;

    public readonly ViewerMasks $viewer;

    /** @param  int  $until  the last instant that is looked at */
    public function __construct(
        private readonly CompiledDecider $decider,
        private readonly Reaching $reaching,
        Viewer $viewer,
        private readonly int $at,
        private readonly int $until,
    ) {
        $this->viewer = $decider->viewer($viewer, $at);
        [$this->open, $this->works] = $this->viewer->open($at);
    }

    public function reach(): Reach
    {
        return $this->reaching->ofMasks($this->viewer, $this->at, $this->until + 1);
    }

    /**
     * When what is open now is no longer open (no longer to work in, if it is so now), if only time moves.
     *
     * @return array<int, int> by position; what lasts throughout is left out
     */
    public function endings(): array
    {
        $endings = [];
        $lookOnly = $this->open ^ $this->works;
        $lasting = $this->open;
        foreach ($this->decider->instants($this->viewer, $this->at, $this->until + 1, shutting: true) as $instant) {
            [$open, $works] = $this->viewer->open($instant);
            $ended = $lasting & (($works | ($open & $lookOnly)) ^ $lasting);
            for ($item = strpos($ended, Mask::IN); $item !== false; $item = strpos($ended, Mask::IN, $item + 1)) {
                $endings[$item] = $instant;
            }
            $lasting ^= $ended;
        }

        return $endings;
    }

    /** What is open at a later instant, up to and including the last, if only time moves. */
    public function opensLater(): string
    {
        $later = str_repeat(Mask::OUT, strlen($this->open));
        foreach ($this->decider->instants($this->viewer, $this->at, $this->until + 1) as $instant) {
            $later |= $this->viewer->open($instant)[0];
        }

        return $later;
    }
}
