<?php

declare(strict_types=1);

namespace App\Learning;

use App\Access\Answer;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Outline\Kind;

/** What somebody can do now towards something that waits: of a chain of lessons that wait for each other, the one at its open end. */
final readonly class FirstSteps
{
    public function __construct(private Answer $answer)
    {
    }

    /** @return list<int> positions of open lessons and parts that are not finished, in reading order */
    public function towards(int $position): array
    {
        $found = $seen = [];
        $this->follow($this->waitsFor($position), $found, $seen);
        sort($found);

        return $found;
    }

    /**
     * @param  list<int>  $waited
     * @param  list<int>  $found
     * @param  array<int, true>  $seen  so that what waits for itself comes to an end
     */
    private function follow(array $waited, array &$found, array &$seen): void
    {
        foreach ($waited as $position) {
            if (isset($seen[$position]) || $this->answer->state($position) === State::Hidden) {
                continue;
            }
            $seen[$position] = true;
            match (true) {
                $this->answer->decider->course->outline->items[$position]->kind === Kind::Module => $this->follow($this->unfinishedIn($position), $found, $seen),
                $this->answer->state($position) === State::Open => $found[] = $position,
                default => $this->follow($this->waitsFor($position), $found, $seen),
            };
        }
    }

    /** @return list<int> */
    private function waitsFor(int $position): array
    {
        $snapshot = $this->answer->snapshot();

        return ($snapshot->nearestPass($position) ?? $snapshot->learner()?->nearestPass($position))?->waitsFor($position) ?? [];
    }

    /** @return list<int> the first lesson of a module that is open and not finished; failing that, those that count and wait */
    private function unfinishedIn(int $module): array
    {
        $outline = $this->answer->decider->course->outline;
        $whose = $this->answer->snapshot()->learner() ?? $this->answer->snapshot();
        $done = ($this->answer->viewer->observes ?? $this->answer->viewer)->done;
        $waiting = [];
        for ($position = $module + 1; $position < $outline->end[$module]; $position++) {
            $counts = $outline->items[$position]->kind === Kind::Lesson && $outline->optionalOnPath[$position] === 0 && $whose->countsForAPass($position);
            if (! $counts || ($done[$outline->items[$position]->key] ?? PHP_INT_MAX) <= $this->answer->at) {
                continue;
            }
            if ($this->answer->state($position) === State::Open) {
                return [$position];
            }
            $waiting[] = $position;
        }

        return $waiting;
    }
}
