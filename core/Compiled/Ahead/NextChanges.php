<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Ahead;

use SilentKeep\Core\Compiled\ChangeCode;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\PassMasks;
use SilentKeep\Core\Compiled\Tangle;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Time\Instant;

/**
 * The first change of each item's state by time alone. Time is cut where anything but a step of a pass may change something:
 * there the whole course is looked at, seldom more than a few times. In between, only releases and closings of passes
 * come, and each item is looked at once, when its own step does.
 */
final class NextChanges
{
    private const FEW_CUTS = 3;

    /** @var array<int, int> of every item, as {@see ChangeCode} */
    private array $found;

    /** Whether time is cut into so many stretches that it pays to ask what comes in each. */
    private bool $goesByMany = false;

    /** @var list<int> items that change in the present stretch, now and then one twice */
    private array $changing = [];

    /** @var array<int, StepsAhead> by pass */
    private array $ahead = [];

    private readonly Cuts $cuts;

    /**
     * @param  string  $states  at the instant from which is asked
     * @param  string  $waiting  mask of the items that are asked about and have not changed yet
     */
    private function __construct(private readonly ViewerMasks $viewer, int $at, private readonly string $states, private string $waiting)
    {
        $this->found = $viewer->course->unchanged;
        $this->cuts = new Cuts($viewer, $at);
    }

    /**
     * @param  string  $open  at `$at`
     * @param  string  $states  at `$at`
     * @param  string  $asked  mask
     * @return array<int, int> of every item, as {@see ChangeCode}
     */
    public static function of(ViewerMasks $viewer, int $at, string $open, string $states, string $asked): array
    {
        if ($viewer->viewer->staff || $viewer->course->prepared->course->state === CourseState::Draft) {
            return $viewer->course->unchanged;
        }
        $search = new self($viewer, $at, $states, $asked);
        $cuts = $search->cuts->after($at);
        $search->goesByMany = count($cuts) > self::FEW_CUTS;
        foreach ($search->cuts->stretches($at, $cuts) as $stretch) {
            if ($stretch->from !== $at) {
                $open = $search->atCut($stretch, $open);
            }
            if (! str_contains($search->waiting, Mask::IN)) {
                break;
            }
            if ($viewer->course->hiding->tangled) {
                $open = $search->byEvents($stretch, $open);
            } else {
                $search->bySteps($stretch, $open);
            }
        }

        return $search->found;
    }

    /**
     * What is in another state as a stretch begins than it was when asked.
     *
     * @param  string  $open  as the one before it ended
     * @return string what is open now
     */
    private function atCut(Stretch $stretch, string $open): string
    {
        $opened = $stretch->steady;
        foreach ($stretch->sources as [$pass, $opens]) {
            $opened |= $opens & ($this->viewer->course->hiding->tangled ? $this->ahead($pass, $stretch->from)->dueAt($stretch->from) : $pass->due($stretch->from));
        }
        if ($opened !== $open) {
            $then = $this->viewer->course->states($opened);
            $this->noteChanged($stretch->from, 0, $then, Tangle::changed($this->states, $then) & $this->waiting);
        }

        return $opened;
    }

    private function ahead(PassMasks $pass, int $from): StepsAhead
    {
        return $this->ahead[spl_object_id($pass)] ??= new StepsAhead($pass, $from);
    }

    /** The same, of one tangle. */
    private function noteWithin(Tangle $tangle, int $at, string $open): void
    {
        $then = $tangle->statesKept(substr($open, $tangle->first, $tangle->length));
        $was = substr($this->states, $tangle->first, $tangle->length);
        if ($then !== $was) {
            $this->noteChanged($at, $tangle->first, $then, Tangle::changed($was, $then) & substr($this->waiting, $tangle->first, $tangle->length));
        }
    }

    /**
     * @param  string  $then  states of some items from `$first` on
     * @param  string  $changed  mask of these items
     */
    private function noteChanged(int $at, int $first, string $then, string $changed): void
    {
        $changes = [];
        for ($item = strpos($changed, Mask::IN); $item !== false; $item = strpos($changed, Mask::IN, $item + 1)) {
            $this->waiting[$first + $item] = Mask::OUT;
            $this->found[$first + $item] = $changes[$then[$item]] ??= ChangeCode::of($at, $then[$item]);
        }
    }

    /**
     * From one instant at which something opens or closes to the next: where something hides that holds something, what opens may show or
     * hide others.
     *
     * @param  string  $open  from its beginning on
     * @return string what is open last
     */
    private function byEvents(Stretch $stretch, string $open): string
    {
        $ahead = $opens = [];
        foreach ($stretch->sources as [$pass, $mask]) {
            $ahead[] = $this->ahead($pass, $stretch->from);
            $opens[] = $mask;
        }
        $passes = new PassesAhead($ahead, $opens, $stretch->steady);
        if ($passes->comes >= $stretch->until) {
            return $open;
        }
        $about = $this->waiting | $this->viewer->course->hiding->inTangles;
        while ($passes->comes < $stretch->until) {
            $instant = $passes->comes;
            $opened = $passes->come($about);
            if ($opened !== null && $opened !== $open) {
                $moved = ($opened ^ $open) & $about;
                $open = $opened;
                $this->noteMoved($instant, $moved, $open);
            }
        }

        return $open;
    }

    /**
     * @param  string  $moved  mask of what has opened or closed
     * @param  string  $open  now
     */
    private function noteMoved(int $at, string $moved, string $open): void
    {
        $hiding = $this->viewer->course->hiding;
        for ($item = strpos($moved, Mask::IN); $item !== false; $item = strpos($moved, Mask::IN, $next)) {
            $next = $item + 1;
            if (isset($hiding->outermost[$item])) {
                $tangle = $hiding->tangleFrom($hiding->outermost[$item]);
                $this->noteWithin($tangle, $at, $open);
                $next = $tangle->first + $tangle->length;
            } elseif ($this->waiting[$item] === Mask::IN) {
                $this->waiting[$item] = Mask::OUT;
                $this->found[$item] = ChangeCode::of($at, $open[$item] === Mask::IN ? 'o' : $hiding->whenClosed[$item]);
            }
        }
    }

    /** @param  string  $open  from its beginning on */
    private function bySteps(Stretch $stretch, string $open): void
    {
        foreach ($stretch->sources as [$pass, $opens]) {
            $this->openings($stretch, $pass, $opens, $open);
        }
        foreach ($stretch->sources as [$pass, $opens]) {
            if ($pass->pacing->everCloses) {
                $this->closings($stretch, $pass, $opens, $open);
            }
        }
        // At the next cut only those are looked at that have not changed yet.
        foreach ($stretch->until === Instant::NEVER ? [] : $this->changing as $item) {
            $this->waiting[$item] = Mask::OUT;
        }
        $this->changing = [];
    }

    /**
     * What is not open at the beginning of the stretch and is released within it.
     *
     * @param  string  $opens  what the pass opens when it is time
     */
    private function openings(Stretch $stretch, PassMasks $pass, string $opens, string $open): void
    {
        $items = $this->ofThoseWaiting($opens ^ ($opens & $open));
        if (! str_contains($items, Mask::IN)) {
            return;
        }
        if ($this->goesByMany) {
            $this->openingsByItem($stretch, $pass, $items & $pass->releasedBetween($stretch->from, $stretch->until));
        } else {
            $this->openingsByStep($stretch, $pass, $items);
        }
    }

    /** Those that are asked about and have not changed yet: in the first stretch most often all. */
    private function ofThoseWaiting(string $items): string
    {
        return $this->waiting === $this->viewer->course->all ? $items : $items & $this->waiting;
    }

    /**
     * Between two of many cuts few steps come.
     *
     * @param  string  $items  mask of what is released within the stretch
     */
    private function openingsByItem(Stretch $stretch, PassMasks $pass, string $items): void
    {
        $closings = $pass->pacing->mayCloseFirst === [] ? null : $pass->closings();
        $closingStep = $pass->pacing->closingStep;
        $releaseStep = $pass->pacing->releaseStep;
        $releases = $pass->releases();
        for ($item = strpos($items, Mask::IN); $item !== false; $item = strpos($items, Mask::IN, $item + 1)) {
            $release = $releases[$releaseStep[$item]];
            $change = ChangeCode::opening($release);
            if ($release > $stretch->from && $release < $stretch->until && $change < $this->found[$item] && ($closings === null || $closings[$closingStep[$item]] > $release)) {
                $this->found[$item] = $change;
                $this->changing[] = $item;
            }
        }
    }

    /** Between few cuts many do. */
    private function openingsByStep(Stretch $stretch, PassMasks $pass, string $items): void
    {
        $closings = $pass->pacing->mayCloseFirst === [] ? null : $pass->closings();
        $closingStep = $pass->pacing->closingStep;
        $members = $pass->pacing->releases;
        $changing = [];
        $found = $this->found;
        // Nobody else holds it now, so that it is not copied to be written.
        $this->found = [];
        foreach ($pass->releases() as $step => $release) {
            if ($release <= $stretch->from || $release >= $stretch->until) {
                continue;
            }
            $change = ChangeCode::opening($release);
            foreach ($members[$step] as $item) {
                if ($items[$item] === Mask::IN && $change < $found[$item] && ($closings === null || $closings[$closingStep[$item]] > $release)) {
                    $found[$item] = $change;
                    $changing[] = $item;
                }
            }
        }
        $this->found = $found;
        $this->changing = $this->changing === [] ? $changing : [...$this->changing, ...$changing];
    }

    /**
     * What is open at the beginning of the stretch, closes by this pass within it, and is not open by another then.
     *
     * @param  string  $opens  what the pass opens when it is time
     */
    private function closings(Stretch $stretch, PassMasks $pass, string $opens, string $open): void
    {
        $items = $this->ofThoseWaiting($pass->pacing->closing & $opens & $open);
        if ($stretch->steady !== $this->viewer->course->none) {
            $items &= $stretch->steady ^ $this->viewer->course->all;
        }
        if (! str_contains($items, Mask::IN)) {
            return;
        }
        $members = $pass->pacing->closes();
        $letters = $this->viewer->course->hiding->whenClosed;
        $byOthers = isset($stretch->sources[1]);
        foreach ($pass->closings() as $step => $closing) {
            if ($closing <= $stretch->from || $closing >= $stretch->until) {
                continue;
            }
            foreach ($members[$step] as $item) {
                $change = ChangeCode::of($closing, $letters[$item]);
                if ($items[$item] === Mask::IN && $change < $this->found[$item] && (! $byOthers || ! $stretch->isOpenByPass($item, $closing))) {
                    $this->found[$item] = $change;
                    $this->changing[] = $item;
                }
            }
        }
    }
}
