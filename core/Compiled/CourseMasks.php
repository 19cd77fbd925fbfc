<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Compiled\Conditions\ConditionsAsked;
use SilentKeep\Core\Compiled\Order\Hurdles;
use SilentKeep\Core\Deciding\PreparedCourse;
use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\Prerequisites;

/** A course laid out as masks, positions and integers in place of rule objects: what holds for every viewer. */
class CourseMasks
{
    public readonly Outline $outline;

    public readonly int $count;

    public readonly string $all;

    public readonly string $none;

    /** Neither a draft nor inside one. */
    public readonly string $published;

    public readonly bool $hasDrafts;

    public readonly string $lessons;

    public readonly string $lessonsAndParts;

    public readonly string $notBoards;

    public readonly string $withoutTiers;

    /** What is part of a sample, where that is the same for everybody. */
    public readonly string $samples;

    public readonly bool $hasSamples;

    private readonly bool $hasOptional;

    /** @var list<bool> */
    public readonly array $isModule;

    /** @var array<array-key, int> positions by key of what can be recorded as done; a module is complete by its lessons, whatever is recorded of itself */
    public readonly array $recorded;

    /** @var list<int> modules with prerequisites of their own */
    public readonly array $modulesThatWait;

    /** Where no item of the path has prerequisites. */
    public readonly string $ungated;

    /** @var list<list<int>> the modules that an item stands in, itself left out, the nearest first */
    public readonly array $modules;

    /** What has something inside. */
    public readonly string $containers;

    /** @var array<int, list<array{int, int}>> where right inside a container items stand that hold nothing, and how many in a row; containers in reading order */
    public readonly array $runsInside;

    /** @var array<int, list<int>> containers right inside a container */
    public readonly array $containersInside;

    /** @var array<int, Prerequisites> */
    public readonly array $after;

    /** What waits for something by name. */
    public readonly ?Hurdles $hurdles;

    /** @var array<int, Prerequisites> those that ask for some of what they name */
    public readonly array $waitsForSome;

    /** @var list<int> modules for which something may wait */
    public readonly array $modulesWaitedFor;

    /** @var array<int, list<int>> earlier siblings in an order, the nearest first, boards and what is optional left out */
    public readonly array $earlier;

    /** @var list<list<int>> of the path from the item upward, those with prerequisites */
    public readonly array $gates;

    /** Whether only passes lead people here who have no grant, are nobody's observer and came by no door. */
    public readonly bool $byPassesOnly;

    /** Whether for such people all follows from the dates of their passes, samples aside. */
    public readonly bool $byDatesAlone;

    /** Whether it lets everybody in at all times who has a way in: it is live and has no season. */
    public readonly bool $alwaysIn;

    public readonly Hiding $hiding;

    public readonly ConditionsAsked $conditions;

    /** @var list<null> of each item */
    public readonly array $nothing;

    /** @var array<int, int> a {@see ChangeCode} an item: that nothing changes */
    public readonly array $unchanged;

    /** @var array<int, string> */
    private array $subtrees = [];

    public function __construct(public readonly PreparedCourse $prepared)
    {
        $this->outline = $outline = $prepared->outline;
        $this->count = $outline->count();
        $this->all = str_repeat(Mask::IN, $this->count);
        $this->nothing = array_fill(0, $this->count, null);
        $this->unchanged = array_fill(0, $this->count, ChangeCode::NONE);
        $this->none = str_repeat(Mask::OUT, $this->count);
        $published = $lessons = $lessonsAndParts = $notBoards = $withoutTiers = $containers = '';
        $isModule = [];
        foreach ($outline->items as $at => $item) {
            $published .= $outline->draftOnPath[$at] ? Mask::OUT : Mask::IN;
            $lessons .= $item->kind === Kind::Lesson ? Mask::IN : Mask::OUT;
            $lessonsAndParts .= $item->kind === Kind::Lesson || $item->kind === Kind::Part ? Mask::IN : Mask::OUT;
            $notBoards .= $item->kind === Kind::Board ? Mask::OUT : Mask::IN;
            $withoutTiers .= $prepared->tiersOnPath[$at] ? Mask::OUT : Mask::IN;
            $containers .= $item->items === [] ? Mask::OUT : Mask::IN;
            $isModule[] = $item->kind === Kind::Module;
        }
        [$this->published, $this->lessons, $this->lessonsAndParts, $this->notBoards] = [$published, $lessons, $lessonsAndParts, $notBoards];
        [$this->withoutTiers, $this->containers, $this->isModule] = [$withoutTiers, $containers, $isModule];
        $this->recorded = array_filter($outline->positions, static fn (int $at): bool => ! $isModule[$at]);
        $this->samples = Mask::of($prepared->samples->forSomebody);
        $this->hasSamples = str_contains($this->samples, Mask::IN);
        $this->hasOptional = array_sum($this->outline->optionalOnPath) > 0;
        $this->hasDrafts = str_contains($this->published, Mask::OUT);
        [$this->runsInside, $this->containersInside] = self::inside($outline);
        [$this->after, $this->earlier] = self::prerequisites($outline, $prepared->course->inOrder);
        $waitsFor = array_map(static fn (Prerequisites $of): array => $of->items, $this->after);
        $named = array_filter($this->after, static fn (Prerequisites $of): bool => $of->items !== []);
        $this->hurdles = $named === [] ? null : new Hurdles($named, $this->count);
        $this->waitsForSome = array_filter($this->after, static fn (Prerequisites $of): bool => ! $of->areAll());
        $this->modulesWaitedFor = array_values(array_filter(array_unique(array_merge([], ...$waitsFor, ...$this->earlier)), static fn (int $at): bool => $isModule[$at]));
        [$this->gates, $this->modules] = self::above($outline, $this->after + $this->earlier, $isModule);
        $this->modulesThatWait = array_values(array_filter(array_keys($this->after + $this->earlier), static fn (int $at): bool => $isModule[$at]));
        $this->ungated = Mask::of(array_map(static fn (array $of): bool => $of === [], $this->gates));
        $this->hiding = new Hiding($prepared->course);
        $this->conditions = new ConditionsAsked($outline);
        [$this->alwaysIn, $this->byPassesOnly, $this->byDatesAlone] = $this->waysIn($prepared->course);
    }

    /** @return array{bool, bool, bool} */
    private function waysIn(Course $course): array
    {
        $byPasses = $course->entry !== Entry::Anyone && $course->state !== CourseState::Draft;

        return [
            $course->state === CourseState::Live && $course->opens === null && $course->closes === null,
            $byPasses && ! $this->hasSamples,
            $byPasses && $course->state === CourseState::Live && ! $this->conditions->whatIsDone && $this->conditions->instants === [],
        ];
    }

    /**
     * @param  array<int, mixed>  $waits  by item
     * @param  list<bool>  $isModule
     * @return array{list<list<int>>, list<list<int>>} of each item what waits on its path, and the modules it stands in, both from it upward
     */
    private static function above(Outline $outline, array $waits, array $isModule): array
    {
        /** @var list<list<int>> $gates */
        $gates = [];
        /** @var list<list<int>> $modules */
        $modules = [];
        /** @var array<int, list<int>> $withItself */
        $withItself = [];
        foreach ($outline->parent as $at => $above) {
            // Lists that are the same as those of the item above are the same in memory too.
            $gatesAbove = $above === Outline::TOP ? [] : $gates[$above];
            $gates[] = isset($waits[$at]) ? [$at, ...$gatesAbove] : $gatesAbove;
            $modules[] = $inModules = $above === Outline::TOP ? [] : $withItself[$above];
            if ($outline->items[$at]->items !== []) {
                $withItself[$at] = $isModule[$at] ? [$at, ...$inModules] : $inModules;
            }
        }

        return [$gates, $modules];
    }

    /** @return array{array<int, list<array{int, int}>>, array<int, list<int>>} runs of items that hold nothing, and containers, right inside each container */
    private static function inside(Outline $outline): array
    {
        /** @var array<int, list<array{int, int}>> $runs */
        $runs = [];
        /** @var array<int, list<int>> $containers */
        $containers = [];
        foreach ($outline->items as $at => $item) {
            if ($item->items !== []) {
                $runs[$at] = $containers[$at] = [];
            }
            $above = $outline->parent[$at];
            if ($above === Outline::TOP) {
                continue;
            }
            if ($item->items !== []) {
                $containers[$above][] = $at;

                continue;
            }
            $last = array_pop($runs[$above]) ?? [$at, 0];
            if ($at !== $last[0] + $last[1]) {
                $runs[$above][] = $last;
                $last = [$at, 0];
            }
            $runs[$above][] = [$last[0], $last[1] + 1];
        }

        return [$runs, $containers];
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

    /** @return string a byte an item in reading order: `o` open, `l` locked, `h` hidden */
    public function states(string $open): string
    {
        return $this->hiding->states($open);
    }

    public function guestDoorOpen(): bool
    {
        return $this->prepared->plan->guests && $this->prepared->course->guestDoor->open;
    }
}
