<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Deciding\StateChange;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Time\Instant;

/**
 * The first change of each item's state by time alone. Time is cut where anything but a step of a pass may change something:
 * there the whole course is looked at, seldom more than a few times. In between, only releases and closings of passes
 * come, and each item is looked at once, when its own step does.
 */
final class NextChanges
{
    /** @var array<int, ?StateChange> of every item */
    private array $found;

    private readonly Cuts $cuts;

    /**
     * @param  string  $states  at the instant from which is asked
     * @param  string  $waiting  mask of the items that are asked about and have not changed yet
     */
    private function __construct(private readonly ViewerMasks $viewer, private readonly string $states, private string $waiting)
    {
        $this->found = $viewer->course->nothing;
        $this->cuts = new Cuts($viewer);
    }

    /**
     * @param  string  $open  at `$at`
     * @param  string  $states  at `$at`
     * @param  string  $asked  mask
     * @return array<int, ?StateChange> of every item
     */
    public static function of(ViewerMasks $viewer, int $at, string $open, string $states, string $asked): array
    {
        if ($viewer->viewer->staff || $viewer->course->prepared->course->state === CourseState::Draft) {
            return $viewer->course->nothing;
        }
        $search = new self($viewer, $states, $asked);
        $from = $at;
        foreach ([...$search->cuts->after($at), Instant::NEVER] as $until) {
            if ($viewer->course->hiding->tangled) {
                $open = $search->byEvents($from, $until, $open);
            } else {
                $search->bySteps($from, $until, $open);
            }
            if ($until === Instant::NEVER || ! str_contains($search->waiting, Mask::IN)) {
                break;
            }
            $then = $viewer->open($until)[0];
            if ($then !== $open) {
                $search->note($until, $then);
                $open = $then;
            }
            $from = $until;
        }

        return $search->found;
    }

    /** What is in another state at an instant than it was when asked. */
    private function note(int $at, string $open): void
    {
        $then = $this->viewer->course->states($open);
        // The letters differ in these bits only: o^l, o^h, l^h.
        $changed = strtr($this->states ^ $then, "\x03\x07\x04", "\x01\x01\x01") & $this->waiting;
        $this->waiting ^= $changed;
        $changes = ['o' => new StateChange($at, State::Open), 'l' => new StateChange($at, State::Locked), 'h' => new StateChange($at, State::Hidden)];
        for ($item = strpos($changed, Mask::IN); $item !== false; $item = strpos($changed, Mask::IN, $item + 1)) {
            $this->found[$item] = $changes[$then[$item]] ?? null;
        }
    }

    /**
     * Where something hides that holds something, so that what opens may show or hide others: from one instant at which something
     * opens or closes to the next.
     *
     * @param  string  $open  from `$from` on
     * @return string what is open last
     */
    private function byEvents(int $from, int $until, string $open): string
    {
        $sources = $this->cuts->sources($from);
        $events = self::events($sources, $from, $until);
        if ($events === []) {
            return $open;
        }
        ksort($events);
        $steady = $this->cuts->steady($from);
        $hiding = $this->viewer->course->hiding;
        foreach ($events as $instant => $items) {
            $tangled = false;
            foreach ($items as $item => $_) {
                $is = $steady[$item] === Mask::IN || self::isOpenBy($sources, $item, $instant) ? Mask::IN : Mask::OUT;
                if ($is === $open[$item]) {
                    continue;
                }
                $open[$item] = $is;
                if ($hiding->inTangles[$item] === Mask::IN) {
                    $tangled = true;
                } elseif ($this->waiting[$item] === Mask::IN) {
                    $this->waiting[$item] = Mask::OUT;
                    $this->found[$item] = new StateChange($instant, $is === Mask::IN ? State::Open : $hiding->whenClosed($item));
                }
            }
            if ($tangled) {
                $this->note($instant, $open);
            }
        }

        return $open;
    }

    /**
     * @param  list<array{PassMasks, string}>  $sources
     * @return array<int, array<int, true>> items that may open or close, by instant
     */
    private static function events(array $sources, int $from, int $until): array
    {
        $events = [];
        foreach ($sources as [$pass, $opens]) {
            foreach ([[$pass->releases(), $pass->profile->releases], [$pass->closings(), $pass->closings() === [Instant::NEVER] ? [[]] : $pass->profile->closes()]] as [$instants, $itemsOf]) {
                foreach ($instants as $step => $instant) {
                    if ($instant <= $from || $instant >= $until) {
                        continue;
                    }
                    foreach ($itemsOf[$step] as $item) {
                        if ($opens[$item] === Mask::IN) {
                            $events[$instant][$item] = true;
                        }
                    }
                }
            }
        }

        return $events;
    }

    /** @param  string  $open  from `$from` on */
    private function bySteps(int $from, int $until, string $open): void
    {
        $sources = $this->cuts->sources($from);
        foreach ($sources as [$pass, $opens]) {
            $this->openings($pass, $opens, $open, $from, $until);
        }
        foreach ($sources as [$pass, $opens]) {
            if (self::anyWithin($pass->closings(), $from, $until)) {
                $this->closings($sources, $pass, $opens, $open, $from, $until);
            }
        }
        // At the next cut only those are looked at that have not changed yet.
        foreach ($until === Instant::NEVER ? [] : $this->found as $item => $change) {
            if ($change !== null) {
                $this->waiting[$item] = Mask::OUT;
            }
        }
    }

    /** @param  list<int>  $instants */
    private static function anyWithin(array $instants, int $from, int $until): bool
    {
        foreach ($instants as $instant) {
            if ($instant > $from && $instant < $until) {
                return true;
            }
        }

        return false;
    }

    /**
     * What is not open at the beginning of the stretch and is released within it.
     *
     * @param  string  $opens  what the pass opens when it is time
     */
    private function openings(PassMasks $pass, string $opens, string $open, int $from, int $until): void
    {
        $items = $opens ^ ($opens & $open);
        if ($this->waiting !== $this->viewer->course->all) {
            $items &= $this->waiting;
        }
        if (! str_contains($items, Mask::IN)) {
            return;
        }
        $closings = $pass->profile->everCloses ? $pass->closings() : null;
        $closingStep = $pass->profile->closingStep;
        $releaseStep = $pass->profile->releaseStep;
        $releases = $pass->releases();
        $changes = [];
        for ($item = strpos($items, Mask::IN); $item !== false; $item = strpos($items, Mask::IN, $item + 1)) {
            $step = $releaseStep[$item];
            $release = $releases[$step];
            if ($release <= $from || $release >= $until || ($closings !== null && $closings[$closingStep[$item]] <= $release)) {
                continue;
            }
            $found = $this->found[$item];
            if ($found === null || $found->at > $release) {
                $this->found[$item] = $changes[$step] ??= new StateChange($release, State::Open);
            }
        }
    }

    /**
     * What is open at the beginning of the stretch, closes by this pass within it, and is not open by another then.
     *
     * @param  list<array{PassMasks, string}>  $sources
     * @param  string  $opens  what the pass opens when it is time
     */
    private function closings(array $sources, PassMasks $pass, string $opens, string $open, int $from, int $until): void
    {
        $items = $opens & $open & $this->waiting;
        if (! $this->viewer->byPassesOnly) {
            $items &= $this->cuts->steady($from) ^ $this->viewer->course->all;
        }
        foreach ($pass->closings() as $step => $closing) {
            if ($closing <= $from || $closing >= $until) {
                continue;
            }
            $changes = [];
            foreach ($pass->profile->closes()[$step] as $item) {
                $found = $this->found[$item];
                if ($items[$item] === Mask::IN && ($found === null || $found->at > $closing) && (count($sources) === 1 || ! self::isOpenBy($sources, $item, $closing))) {
                    $state = $this->viewer->course->hiding->whenClosed($item);
                    $this->found[$item] = $changes[$state->value] ??= new StateChange($closing, $state);
                }
            }
        }
    }

    /** @param  list<array{PassMasks, string}>  $sources */
    private static function isOpenBy(array $sources, int $item, int $at): bool
    {
        foreach ($sources as [$pass, $opens]) {
            if ($opens[$item] === Mask::IN && $pass->releases()[$pass->profile->releaseStep[$item]] <= $at && $at < $pass->closings()[$pass->profile->closingStep[$item]]) {
                return true;
            }
        }

        return false;
    }
}
