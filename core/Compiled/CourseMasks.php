<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\PreparedCourse;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\Condition;
use SilentKeep\Core\Rules\ConditionLeaves;
use SilentKeep\Core\Rules\FromInstant;
use SilentKeep\Core\Rules\HasLabel;
use SilentKeep\Core\Rules\IsDone;
use SilentKeep\Core\Rules\Prerequisites;
use SilentKeep\Core\Rules\UntilInstant;

/** A course laid out as masks, positions and integers in place of rule objects: what holds for every viewer. */
class CourseMasks
{
    public readonly Outline $outline;

    public readonly int $count;

    public readonly string $all;

    public readonly string $none;

    /** Neither a draft nor inside one. */
    public readonly string $published;

    public readonly string $lessons;

    public readonly string $lessonsAndParts;

    public readonly string $notBoards;

    public readonly string $withoutTiers;

    /** What is part of a sample, where that is the same for everybody. */
    public readonly string $samples;

    public readonly bool $hasSamples;

    public readonly bool $hasDrafts;

    private readonly bool $hasOptional;

    public readonly string $guestsAdmitted;

    public readonly string $guestTiers;

    public readonly string $observersAdmitted;

    public readonly string $observerTiers;

    /** @var list<bool> */
    public readonly array $isModule;

    /** @var list<int> what can come out hidden, in reading order: drafts, what hides when closed, and all inside */
    public readonly array $mayHide;

    /** @var list<bool> whether the item itself hides when closed, or is a draft */
    public readonly array $hidesItself;

    /** @var list<int> modules with prerequisites of their own, in reading order */
    public readonly array $modulesThatWait;

    /** Where no item of the path has prerequisites. */
    public readonly string $ungated;

    /** @var list<list<int>> the modules that an item stands in, itself left out, the nearest first */
    public readonly array $modules;

    /** What has something inside. */
    public readonly string $containers;

    /** @var array<int, Prerequisites> */
    public readonly array $after;

    /** @var array<int, list<int>> earlier siblings in an order, the nearest first, boards and what is optional left out */
    public readonly array $earlier;

    /** @var list<list<int>> the path of each item from itself upward */
    public readonly array $upward;

    /** @var list<list<int>> of the path from the item upward, those with prerequisites */
    public readonly array $gates;

    /** Whether a condition asks what is done: then finishing something may also shut an item. */
    public readonly bool $conditionsOnDone;

    /** @var list<int> instants at which a condition changes by itself, ascending */
    public readonly array $conditionInstants;

    /** Whether no item has a condition. */
    public readonly bool $unconditional;

    /** @var array<array-key, true> labels that a condition names */
    public readonly array $labels;

    /** @var array<int, string> */
    private array $subtrees = [];

    public function __construct(public readonly PreparedCourse $prepared)
    {
        $this->outline = $outline = $prepared->outline;
        $this->count = $outline->count();
        $this->all = str_repeat(Mask::IN, $this->count);
        $this->none = str_repeat(Mask::OUT, $this->count);
        $kinds = array_map(static fn ($item): Kind => $item->kind, $outline->items);
        $this->published = Mask::of(array_map(static fn (bool $draft): bool => ! $draft, $outline->draftOnPath));
        $this->lessons = Mask::of(array_map(static fn (Kind $kind): bool => $kind === Kind::Lesson, $kinds));
        $this->lessonsAndParts = Mask::of(array_map(static fn (Kind $kind): bool => $kind === Kind::Lesson || $kind === Kind::Part, $kinds));
        $this->notBoards = Mask::of(array_map(static fn (Kind $kind): bool => $kind !== Kind::Board, $kinds));
        $this->isModule = array_map(static fn (Kind $kind): bool => $kind === Kind::Module, $kinds);
        $this->withoutTiers = Mask::of(array_map(static fn (bool $tiers): bool => ! $tiers, $prepared->tiersOnPath));
        $this->samples = Mask::of($prepared->samples->forSomebody);
        $this->hasSamples = str_contains($this->samples, Mask::IN);
        $this->hasOptional = array_sum($this->outline->optionalOnPath) > 0;
        $this->hasDrafts = str_contains($this->published, Mask::OUT);
        $this->guestsAdmitted = Mask::of($prepared->guests->admits);
        $this->guestTiers = Mask::of($prepared->guests->tiersAllow);
        $this->observersAdmitted = Mask::of($prepared->observers->admits);
        $this->observerTiers = Mask::of($prepared->observers->tiersAllow);
        [$this->mayHide, $this->hidesItself] = self::hiding($outline);
        [$this->after, $this->earlier] = self::prerequisites($outline, $prepared->course->inOrder);
        $waits = array_fill_keys([...array_keys($this->after), ...array_keys($this->earlier)], true);
        $upward = array_map(array_reverse(...), $outline->path);
        $this->upward = $upward;
        $this->gates = array_map(static fn (array $steps): array => array_values(array_filter($steps, static fn (int $step): bool => isset($waits[$step]))), $upward);
        $this->modules = array_map(fn (array $steps): array => array_values(array_filter(array_slice($steps, 1), fn (int $step): bool => $this->isModule[$step])), $upward);
        $this->modulesThatWait = array_values(array_filter(array_keys($outline->items), fn (int $at): bool => $this->isModule[$at] && isset($waits[$at])));
        $this->ungated = Mask::of(array_map(static fn (array $of): bool => $of === [], $this->gates));
        $this->containers = Mask::of(array_map(static fn ($item): bool => $item->items !== [], $outline->items));
        $conditions = array_values(array_filter(array_map(static fn ($item): ?Condition => $item->only, $outline->items)));
        $this->unconditional = $conditions === [];
        [$this->labels, $this->conditionInstants, $this->conditionsOnDone] = self::conditions($conditions);
    }

    /** @return array{list<int>, list<bool>} what can come out hidden; what hides itself */
    private static function hiding(Outline $outline): array
    {
        $mayHide = $hidesItself = $inside = [];
        foreach ($outline->items as $at => $item) {
            $above = $outline->parent[$at];
            $hidesItself[] = $item->draft || $item->hideWhenClosed;
            $inside[] = $hidesItself[$at] || ($above !== Outline::TOP && $inside[$above]);
            if ($inside[$at]) {
                $mayHide[] = $at;
            }
        }

        return [$mayHide, $hidesItself];
    }

    /** @return array{array<int, Prerequisites>, array<int, list<int>>} those by name; earlier siblings in an order, the nearest first */
    private static function prerequisites(Outline $outline, bool $topInOrder): array
    {
        $after = $earlier = $siblings = [];
        foreach ($outline->items as $at => $item) {
            $above = $outline->parent[$at];
            if ($item->after !== null) {
                $after[$at] = $item->after;
            }
            if ($item->kind === Kind::Board) {
                continue;
            }
            $inOrder = $above === Outline::TOP ? $topInOrder : $outline->items[$above]->inOrder;
            if ($inOrder && isset($siblings[$above])) {
                $earlier[$at] = array_reverse($siblings[$above]);
            }
            if (! $item->optional) {
                $siblings[$above][] = $at;
            }
        }

        return [$after, $earlier];
    }

    /**
     * @param  list<Condition>  $conditions
     * @return array{array<array-key, true>, list<int>, bool} labels named; instants named, ascending; whether what is done is asked
     */
    private static function conditions(array $conditions): array
    {
        $labels = $instants = [];
        $onDone = false;
        foreach (array_merge([], ...array_map(ConditionLeaves::of(...), $conditions)) as $leaf) {
            if ($leaf instanceof HasLabel) {
                $labels[$leaf->label] = true;
            } elseif ($leaf instanceof FromInstant || $leaf instanceof UntilInstant) {
                $instants[] = $leaf->at;
            }
            $onDone = $onDone || $leaf instanceof IsDone;
        }
        $instants = array_values(array_unique($instants));
        sort($instants);

        return [$labels, $instants, $onDone];
    }

    /** Which stretch between the dates in conditions an instant lies in. */
    public function stretch(int $at): int
    {
        $stretch = 0;
        foreach ($this->conditionInstants as $instant) {
            if ($instant > $at) {
                break;
            }
            $stretch++;
        }

        return $stretch;
    }

    /** The item and all inside it. */
    public function subtree(int $item): string
    {
        return $this->subtrees[$item] ??= str_repeat(Mask::OUT, $item)
            .str_repeat(Mask::IN, $this->outline->end[$item] - $item)
            .str_repeat(Mask::OUT, $this->count - $this->outline->end[$item]);
    }

    /**
     * Whether a mask has a lesson that counts in a module: inside it, and not optional nor inside something optional within it.
     *
     * @param  string  $lessons  a mask of lessons
     */
    public function hasRequired(string $lessons, int $module): bool
    {
        $end = $this->outline->end[$module];
        $lesson = strpos($lessons, Mask::IN, $module);
        if ($this->hasOptional) {
            $optional = $this->outline->optionalOnPath;
            while ($lesson !== false && $lesson < $end && $optional[$lesson] !== $optional[$module]) {
                $lesson = strpos($lessons, Mask::IN, $lesson + 1);
            }
        }

        return $lesson !== false && $lesson < $end;
    }

    /** What comes out hidden, of what is not open. */
    public function hidden(string $open): string
    {
        if ($this->prepared->course->state === CourseState::Draft) {
            return $open ^ $this->all;
        }
        $hidden = $this->none;
        $parent = $this->outline->parent;
        foreach ($this->mayHide as $item) {
            if ($open[$item] === Mask::OUT && ($this->hidesItself[$item] || ($parent[$item] >= 0 && $hidden[$parent[$item]] === Mask::IN))) {
                $hidden[$item] = Mask::IN;
            }
        }
        foreach (array_reverse($this->mayHide) as $item) {
            if ($hidden[$item] === Mask::OUT && $parent[$item] >= 0) {
                $hidden[$parent[$item]] = Mask::OUT;
            }
        }

        return $hidden;
    }

    public function guestDoorOpen(): bool
    {
        return $this->prepared->plan->guests && $this->prepared->course->guestDoor->open;
    }
}
