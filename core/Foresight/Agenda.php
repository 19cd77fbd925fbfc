<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\Viewer;

/** What time alone will change for somebody within a stretch: what opens, what closes, what of theirs ends. */
final readonly class Agenda
{
    public function __construct(private CompiledDecider $decider)
    {
    }

    /**
     * @param  int  $from  what is so at this instant is no change
     * @param  int  $before  the first instant that no longer counts
     * @param  ?int  $asOf  what is done later is ignored; null: later than `$from`
     * @return list<Turn> in the order of their instants; of what stands in something that turns likewise at the same instant, only that
     */
    public function of(Viewer $viewer, int $from, int $before, ?int $asOf = null): array
    {
        $masks = $this->decider->viewer($viewer, $asOf ?? $from);
        $turns = [];
        $was = $masks->open($from)[0];
        foreach ($this->decider->instants($masks, $from, $before) as $at) {
            $open = $masks->open($at)[0];
            $begins = self::beginnings($masks, $at);
            $ends = $this->endings($masks, $at);
            // What opens or closes because a pass begins or ends is told by that alone.
            $turns = [
                ...$turns, ...$begins, ...($begins === [] ? $this->turned($open & ($was ^ $this->decider->compiled->all), $at, opens: true) : []),
                ...$ends, ...($ends === [] ? $this->turned($was & ($open ^ $this->decider->compiled->all), $at, opens: false) : []),
            ];
            $was = $open;
        }

        return $turns;
    }

    /** @return list<Turn> */
    private static function beginnings(ViewerMasks $viewer, int $at): array
    {
        $begins = [];
        foreach ($viewer->passes as $pass) {
            if ($pass->pass->from === $at && $pass->pass->state === PassState::Active && $pass->pass->until > $at) {
                $begins[] = Turn::passBegins($pass->pass->offer, $at);
            }
        }

        return $begins;
    }

    /** @return list<Turn> */
    private function endings(ViewerMasks $viewer, int $at): array
    {
        if ($at === $this->decider->course->closes) {
            return [Turn::seasonEnds($at)];
        }
        $ends = [];
        foreach ($viewer->passes as $pass) {
            if ($pass->pass->until === $at && $pass->pass->state === PassState::Active && $pass->pass->from < $at) {
                $ends[] = Turn::passEnds($pass->pass->offer, $at);
            }
        }

        return $ends;
    }

    /** @return list<Turn> */
    private function turned(string $items, int $at, bool $opens): array
    {
        $turns = [];
        $outline = $this->decider->course->outline;
        for ($item = strpos($items, Mask::IN); $item !== false; $item = strpos($items, Mask::IN, $item + 1)) {
            $above = $outline->parent[$item];
            if ($above < 0 || $items[$above] === Mask::OUT) {
                $turns[] = $opens ? Turn::opens($outline->items[$item]->key, $at) : Turn::closes($outline->items[$item]->key, $at);
            }
        }

        return $turns;
    }
}
