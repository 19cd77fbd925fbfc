<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Order;

use SilentKeep\Core\Compiled\CourseMasks;
use SilentKeep\Core\Compiled\Gather;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Rules\Prerequisites;

/** What must come before what, by name or where items stand in order, for one set of items that count. */
final class Precedence
{
    /** Lessons that count. */
    public readonly string $lessons;

    /** @var non-empty-array<int, string> of what waits for something by name: how many undone shut it, as {@see Hurdles} has it */
    private readonly array $shutBy;

    /** Of what stands in an order, what must come first. */
    private readonly ?Gather $inTurn;

    /** What can be waited for: what counts, of modules those with a lesson that does. */
    private readonly string $counts;

    /** @var list<int> modules among it for which something waits */
    private readonly array $modules;

    private ?Turns $turns = null;

    /** @param  string  $name  digits, another for each */
    public function __construct(private readonly CourseMasks $course, public readonly string $name, public readonly string $eligible)
    {
        $this->lessons = $eligible & $course->lessons;
        $counts = $eligible;
        $modules = [];
        foreach ($course->modulesWaitedFor as $module) {
            if ($eligible[$module] === Mask::OUT || ! $course->hasRequired($this->lessons, $module)) {
                $counts[$module] = Mask::OUT;
            } else {
                $modules[] = $module;
            }
        }
        $this->counts = $counts;
        $this->modules = $modules;
        $this->shutBy = $course->hurdles?->by($this->some()) ?? [''];
        $this->inTurn = $course->earlier === [] ? null : new Gather($this->inOrder(), $course->count);
    }

    /** Item by item, for whoever follows one learner through time. */
    public function turns(): Turns
    {
        return $this->turns ??= new Turns($this->course, $this->inOrder(), $this->byName($this->course->after));
    }

    /**
     * Items whose own prerequisites are not met.
     *
     * @param  string  $undone  mask of what is not done, modules among them
     * @param  string  $undoneLessons  those of them that are lessons and count
     */
    public function unmet(string $undone, string $undoneLessons): string
    {
        if ($this->course->hurdles === null && $this->inTurn === null) {
            return $this->course->none;
        }
        $undone &= $this->counts;
        foreach ($this->modules as $module) {
            $undone[$module] = $this->course->hasRequired($undoneLessons, $module) ? Mask::IN : Mask::OUT;
        }
        $unmet = $this->inTurn?->from($undone) ?? '';
        if ($this->course->hurdles !== null) {
            $unmet |= $this->course->hurdles->shut($undone, $this->shutBy);
        }

        return $unmet === '' ? $this->course->none : $unmet;
    }

    /**
     * The nearest earlier sibling in an order that counts and is not empty.
     *
     * @return array<int, int> the item that must come first, by the item that waits for it
     */
    private function inOrder(): array
    {
        $before = [];
        foreach ($this->course->earlier as $item => $siblings) {
            foreach ($siblings as $sibling) {
                if ($this->counts[$sibling] === Mask::IN) {
                    $before[$item] = $sibling;
                    break;
                }
            }
        }

        return $before;
    }

    /**
     * What must be done first by name, for items with such prerequisites: lessons and parts, modules with lessons that count, and how many of them all; where none is
     * needed, left out.
     *
     * @param  array<int, Prerequisites>  $after
     * @return array<int, array{list<int>, list<int>, int}>
     */
    private function byName(array $after): array
    {
        $named = [];
        foreach ($after as $item => $prerequisites) {
            $plain = $modules = [];
            $left = $empty = 0;
            foreach ($prerequisites->items as $first) {
                if ($this->eligible[$first] === Mask::OUT) {
                    continue;
                }
                $left++;
                if (! $this->course->isModule[$first]) {
                    $plain[] = $first;
                } elseif ($this->counts[$first] === Mask::IN) {
                    $modules[] = $first;
                } else {
                    $empty++;
                }
            }
            $needed = $prerequisites->required($left) - $empty;
            if ($needed > 0) {
                $named[$item] = [$plain, $modules, $needed];
            }
        }

        return $named;
    }

    /** @return array<int, int> of what waits otherwise than for all of what it names: how many undone shut it */
    private function some(): array
    {
        $some = [];
        foreach ($this->byName($this->course->waitsForSome) as $item => [$plain, $modules, $needed]) {
            $some[$item] = count($plain) + count($modules) - $needed + 1;
        }

        return $some;
    }
}
