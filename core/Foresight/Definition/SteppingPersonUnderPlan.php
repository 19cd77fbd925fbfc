<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight\Definition;

use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Standing;
use SilentKeep\Core\Foresight\Reach;
use SilentKeep\Core\Viewing\Viewer;

/** What one person has of one plan at an instant, and what they may come to within a time. */
final class SteppingPersonUnderPlan
{
    /** @var list<Standing> */
    private readonly array $now;

    private ?Reach $reach = null;

    /** @var ?array<int, list<Standing>> the standings at later instants of change, if only time moves */
    private ?array $later = null;

    /** @param  ?Decider  $decider  null: the plan lacks the course */
    public function __construct(private readonly ?Decider $decider, private readonly Viewer $viewer, private readonly int $at, private readonly int $until)
    {
        $this->now = $decider === null ? [] : $decider->snapshot($viewer, $at)->standings;
    }

    public function isOpen(string $item): bool
    {
        return $this->standing($item)?->isOpen() ?? false;
    }

    public function mayAct(string $item): bool
    {
        return $this->standing($item)->act ?? false;
    }

    /** Whether it is open at a later instant, up to and including the last, if only time moves. */
    public function opensAgain(string $item): bool
    {
        $position = $this->position($item);
        if ($position === null) {
            return false;
        }
        foreach ($this->later() as $standings) {
            if ($standings[$position]->isOpen()) {
                return true;
            }
        }

        return false;
    }

    public function firstOpen(string $item): ?int
    {
        $position = $this->position($item);

        return $position === null ? null : $this->reach()?->open[$position];
    }

    public function firstWork(string $item): ?int
    {
        $position = $this->position($item);

        return $position === null ? null : $this->reach()?->works[$position];
    }

    /** When it is no longer open (no longer to work in, if it is so now), if only time moves; null: not within the time. */
    public function ending(string $item): ?int
    {
        $position = $this->position($item);
        if ($position === null) {
            return null;
        }
        $working = $this->now[$position]->act;
        foreach ($this->later() as $at => $standings) {
            $standing = $standings[$position];
            if (! $standing->isOpen() || ($working && ! $standing->act)) {
                return $at;
            }
        }

        return null;
    }

    private function position(string $item): ?int
    {
        return $this->decider?->course->outline->positionOf($item);
    }

    private function standing(string $item): ?Standing
    {
        $position = $this->position($item);

        return $position === null ? null : $this->now[$position];
    }

    private function reach(): ?Reach
    {
        return $this->reach ??= $this->decider === null ? null : (new SteppingReach($this->decider))->reach($this->viewer, $this->at, $this->until + 1);
    }

    /** @return array<int, list<Standing>> by instant, ascending */
    private function later(): array
    {
        if ($this->later !== null) {
            return $this->later;
        }
        $later = [];
        if ($this->decider !== null) {
            $viewer = Decider::asOf($this->viewer, $this->at);
            foreach ($this->decider->changePoints->between($viewer, $this->at, $this->until + 1) as $instant) {
                $later[$instant] = $this->decider->snapshot($viewer, $instant)->standings;
            }
        }

        return $this->later = $later;
    }
}
