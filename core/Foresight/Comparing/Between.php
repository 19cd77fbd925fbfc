<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight\Comparing;

use Closure;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\Effect;
use SilentKeep\Core\Foresight\PersonUnderPlan;
use SilentKeep\Core\Foresight\Reaching;
use WeakMap;

/**
 * What became otherwise for somebody between two instants, item by item, and by what: rules that went live, something that was written of
 * them, or time alone. Each item has one effect at most, that of the end beside the beginning, and one cause, the last that brought it
 * about: so what the causes did adds up to all that was done. The effects are those of {@see \SilentKeep\Core\Foresight\Impact}, and where
 * there is one stage at the very instant of the beginning, the same.
 */
final class Between
{
    /** @var WeakMap<Decider, Reaching> */
    private WeakMap $reaching;

    /** @var WeakMap<Decider, array<array-key, int>> positions by key */
    private WeakMap $positions;

    public function __construct()
    {
        $this->reaching = new WeakMap;
        $this->positions = new WeakMap;
    }

    /**
     * @param  non-empty-list<Stage>  $stages  ascending; the first begins where the comparison does
     * @param  int  $end  the instant that is compared with the beginning
     * @param  int  $until  the last instant that openings and endings are foreseen for, at all of them
     * @return array<array-key, Change> by item; those that are as they were are left out
     */
    public function of(array $stages, int $end, int $until): array
    {
        $stage = array_shift($stages);
        $first = $last = $this->prospect($stage, $stage->at, $until);
        $items = $this->items($stage->decider);
        $steps = [];
        foreach ($stages as $next) {
            $before = $this->prospect($stage, $next->at, $until);
            $after = $this->prospect($next, $next->at, $until);
            array_push($steps, new Step($last, $before, null), new Step($before, $after, $next->cause));
            [$stage, $last] = [$next, $after];
        }
        $steps[] = new Step($last, $last = $this->prospect($stage, $end, $until), null);
        $changes = [];
        foreach (array_keys($this->items($stage->decider) + $items) as $item) {
            $change = self::change((string) $item, $first, $last, $steps);
            if ($change !== null) {
                $changes[$item] = $change;
            }
        }

        return $changes;
    }

    /** @param  non-empty-list<Step>  $steps */
    private static function change(string $item, Prospect $first, Prospect $last, array $steps): ?Change
    {
        [$was, $is] = [$first->isOpen($item), $last->isOpen($item)];
        if ($was !== $is) {
            $effect = $is ? Effect::Gain : ($last->opensLater($item) ? Effect::Pause : Effect::Lose);

            return self::brought($effect, $steps, static fn (Prospect $at): bool => $at->isOpen($item));
        }
        if ($was && $first->isToWorkIn($item) !== $last->isToWorkIn($item)) {
            return self::brought($last->isToWorkIn($item) ? Effect::GainWork : Effect::LoseWork, $steps, static fn (Prospect $at): bool => $at->isToWorkIn($item));
        }
        $moved = ! $was || ! $last->isToWorkIn($item) ? self::moved($item, $was, $steps) : null;

        return $moved ?? ($was ? self::lasts($item, $first, $last, $steps) : null);
    }

    /**
     * @param  non-empty-list<Step>  $steps
     * @param  Closure(Prospect): bool  $has
     */
    private static function brought(Effect $effect, array $steps, Closure $has): Change
    {
        foreach (array_reverse($steps) as $step) {
            if ($has($step->before) !== $has($step->after)) {
                return new Change($effect, $step->cause);
            }
        }
        throw new \LogicException('What is otherwise at the end became so.');
    }

    /**
     * Of when it is first open, or first open to work in: what comes at best moves with the day on which it is asked, so that is compared
     * where something was written.
     *
     * @param  non-empty-list<Step>  $steps
     */
    private static function moved(string $item, bool $toWork, array $steps): ?Change
    {
        $moving = self::moving($steps, static fn (Prospect $at): ?int => $at->reach($item, $toWork));
        if ($moving === []) {
            return null;
        }
        $last = $moving[count($moving) - 1];
        $effect = Effect::ofMove($moving[0]->before->reach($item, $toWork), $last->after->reach($item, $toWork));

        return $effect === null ? null : new Change($effect, $last->cause);
    }

    /**
     * Of when it ends, where it is open at the beginning and at the end.
     *
     * @param  non-empty-list<Step>  $steps
     */
    private static function lasts(string $item, Prospect $first, Prospect $last, array $steps): ?Change
    {
        $effect = Effect::ofEnding($first->ending($item), $last->ending($item));
        $moving = $effect === null ? [] : self::moving($steps, static fn (Prospect $at): ?int => $at->isOpen($item) ? $at->ending($item) : 0);

        return $effect === null || $moving === [] ? null : new Change($effect, $moving[count($moving) - 1]->cause);
    }

    /**
     * @param  list<Step>  $steps
     * @param  Closure(Prospect): ?int  $foreseen  an instant
     * @return list<Step> those in which something that was written moved it: time alone moves nothing
     */
    private static function moving(array $steps, Closure $foreseen): array
    {
        return array_values(array_filter($steps, static fn (Step $step): bool => $step->cause !== null && $foreseen($step->before) !== $foreseen($step->after)));
    }

    private function prospect(Stage $stage, int $at, int $until): Prospect
    {
        if ($stage->decider === null || $stage->compiled === null) {
            return new Prospect([], null, $at);
        }
        $reaching = $this->reaching[$stage->decider] ??= new Reaching($stage->decider, $stage->compiled);

        return new Prospect($this->items($stage->decider), new PersonUnderPlan($stage->compiled, $reaching, $stage->compiled->viewer($stage->viewer, $at), $at, $until), $at);
    }

    /** @return array<array-key, int> positions by key */
    private function items(?Decider $decider): array
    {
        if ($decider === null) {
            return [];
        }
        if (! isset($this->positions[$decider])) {
            $positions = [];
            foreach ($decider->course->outline->items as $position => $item) {
                $positions[$item->key] = $position;
            }
            $this->positions[$decider] = $positions;
        }

        return $this->positions[$decider];
    }
}
