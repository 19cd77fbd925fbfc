<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\PassMasks;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\Reaching;
use SilentKeep\Core\Viewing\Viewer;

/** Whom each finding touches, counted on real people, each looked at once. */
final class TouchedPeople
{
    /** @var array<int, int> by finding */
    private array $counts = [];

    private readonly Reaching $reaching;

    private readonly ?CompiledDecider $live;

    private readonly bool $asksForReach;

    /** @param  list<Finding>  $findings */
    public function __construct(private readonly Survey $survey, private readonly array $findings)
    {
        $this->reaching = new Reaching($survey->decider, $survey->compiled);
        $touches = [];
        foreach ($findings as $at => $finding) {
            $touches[] = $finding->kind->touches();
            if ($finding->kind->touches() !== Touches::Nobody) {
                $this->counts[$at] = 0;
            }
        }
        $this->asksForReach = in_array(Touches::Unreached, $touches, true);
        $live = $survey->circumstances->live;
        $this->live = $live !== null && in_array(Touches::LockedOut, $touches, true) ? CompiledDecider::of((new Decider($survey->plan, $live->asLive()))->prepared) : null;
    }

    /** Somebody who may hold a pass of the course; others are never touched. */
    public function look(Viewer $viewer): void
    {
        $at = $this->survey->circumstances->at;
        $masks = $this->survey->compiled->viewer($viewer, $at);
        $offers = array_map(static fn (PassMasks $pass): string => $pass->pass->offer, array_filter($masks->passes, static fn (PassMasks $pass): bool => $pass->isActive($at)));
        if ($offers === []) {
            return;
        }
        $open = $masks->open($at)[0];
        $reached = null;
        foreach ($this->counts as $finding => $count) {
            if ($this->findings[$finding]->offers !== [] && array_intersect($this->findings[$finding]->offers, $offers) === []) {
                continue;
            }
            $reached ??= $this->asksForReach ? $this->reaching->when($masks, $at, $this->lastOf($masks))[0] : [];
            if ($this->isTouched($this->findings[$finding], $viewer, $open, $reached)) {
                $this->counts[$finding] = $count + 1;
            }
        }
    }

    /** @return array<int, int> by the place of the finding; those that touch nobody who could be counted are left out */
    public function counts(): array
    {
        return $this->counts;
    }

    /** @param  list<?int>  $reached  by position */
    private function isTouched(Finding $finding, Viewer $viewer, string $open, array $reached): bool
    {
        $items = array_values(array_filter(array_map($this->survey->outline->positionOf(...), $finding->items), static fn (?int $item): bool => $item !== null));

        return match ($finding->kind->touches()) {
            Touches::Unreached => array_filter($items, static fn (int $item): bool => $reached[$item] === null) !== [],
            // Where a second one is named, it stands in the way: those have it open who are held up by it.
            Touches::ShutOut => $open[$items[0]] === Mask::OUT && (! isset($items[1]) || $open[$items[1]] === Mask::IN),
            Touches::LockedOut => $this->locksOut($finding, $viewer, $open),
            default => true,
        };
    }

    private function locksOut(Finding $finding, Viewer $viewer, string $open): bool
    {
        if ($this->live === null) {
            return false;
        }
        $at = $this->survey->circumstances->at;
        $was = $this->live->viewer($viewer, $at)->open($at)[0];
        foreach ($finding->about as $key) {
            $before = $this->live->course->outline->positionOf($key);
            $now = $this->survey->outline->positionOf($key);
            if ($before !== null && $now !== null && $was[$before] === Mask::IN && $open[$now] === Mask::OUT) {
                return true;
            }
        }

        return false;
    }

    /** The first instant at which none of their passes is active any more, or NEVER. */
    private function lastOf(ViewerMasks $viewer): int
    {
        $last = PHP_INT_MIN;
        foreach ($viewer->passes as $pass) {
            $last = max($last, $pass->pass->until);
        }

        return $last;
    }
}
