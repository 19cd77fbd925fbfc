<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Viewer;

/**
 * Every answer on a course for one viewer from an instant on. Between two of its instants nothing changes, so
 * that the answers at any instant are those of the last one at or before it: the same that
 * {@see CompiledDecider::answers()} gives when it is asked there.
 */
final readonly class Chronicle
{
    public function __construct(private CompiledDecider $decider)
    {
    }

    /**
     * What is finished after `$from` counts from its own instant on; until then it is not looked ahead to.
     *
     * @return non-empty-array<int, Answers> by the instant from which they hold, ascending; the first is `$from`
     */
    public function of(Viewer $viewer, int $from): array
    {
        $chronicle = [];
        $stretches = [$from, ...self::completions($viewer, $from)];
        foreach ($stretches as $index => $begins) {
            $masks = $this->decider->viewer($viewer, $begins);
            $ends = $stretches[$index + 1] ?? Instant::NEVER;
            $instants = [$begins, ...$this->decider->instants($masks, $begins, Instant::NEVER)];
            foreach ($this->lookingAhead($masks, $instants, $ends) as $instant => $next) {
                $chronicle[$instant] = $this->decider->spellOut($masks, $instant, $next);
            }
        }

        return $chronicle;
    }

    /** @return list<int> when the viewer, or whom they observe, finishes something after an instant; ascending */
    private static function completions(Viewer $viewer, int $after): array
    {
        $instants = [];
        foreach ([$viewer->done, $viewer->observes->done ?? []] as $done) {
            foreach ($done as $since) {
                if ($since > $after) {
                    $instants[$since] = true;
                }
            }
        }
        ksort($instants);

        return array_keys($instants);
    }

    /**
     * The first change of each item after each of the instants, found from the last one backwards.
     *
     * @param  non-empty-list<int>  $instants  ascending
     * @param  int  $ends  the first instant that is not asked for, though it is looked ahead to
     * @return non-empty-array<int, list<int>> by instant, ascending: of every item, as {@see ChangeCode}
     */
    private function lookingAhead(ViewerMasks $viewer, array $instants, int $ends): array
    {
        $next = array_values($this->decider->compiled->unchanged);
        $found = [$instants[0] => $next];
        $after = null;
        for ($index = count($instants) - 1; $index >= 0; $index--) {
            $at = $instants[$index];
            $states = $this->decider->states($viewer, $at);
            if ($after !== null && $states !== $after[1]) {
                [$then, $afterwards] = $after;
                // The letters differ in these bits only.
                $changed = strtr($states ^ $afterwards, "\x03\x04\x07", "\x01\x01\x01");
                for ($item = strpos($changed, Mask::IN); $item !== false; $item = strpos($changed, Mask::IN, $item + 1)) {
                    $next[$item] = ChangeCode::of($then, $afterwards[$item]);
                }
                $next = array_values($next);
            }
            $after = [$at, $states];
            if ($at < $ends) {
                $found[$at] = $next;
            }
        }
        ksort($found);

        return $found;
    }
}
