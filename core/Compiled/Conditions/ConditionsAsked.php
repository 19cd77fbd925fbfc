<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Conditions;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\Condition;
use SilentKeep\Core\Rules\ConditionLeaves;
use SilentKeep\Core\Rules\FromInstant;
use SilentKeep\Core\Rules\HasLabel;
use SilentKeep\Core\Rules\IsDone;
use SilentKeep\Core\Rules\UntilInstant;

/** What the conditions of a course ask about: on what else they do not depend. */
final readonly class ConditionsAsked
{
    /** All conditions depend on the pass. This bit of a kind: on dates too. */
    public const ON_DATES = 1;

    /** On what is done too: another answer for almost everybody. */
    public const ON_DONE = 2;

    /** On labels too. */
    public const ON_LABELS = 4;

    /** Whether no item has a condition. */
    public bool $none;

    /** @var array<array-key, true> labels that are named */
    public array $labels;

    /** @var list<int> instants at which a condition changes by itself, ascending */
    public array $instants;

    /** Whether it is asked what is done: then finishing something may also shut an item. */
    public bool $whatIsDone;

    /** What it is asked of: the items named, and the lessons inside of modules. */
    public string $done;

    /** @var list<AskedCondition> each condition once */
    public array $conditions;

    /** @var array<int, non-empty-list<int>> the numbers of those that no date changes, by kind: the bits above */
    public array $undated;

    /** @var array<int, non-empty-list<int>> the numbers of the others, by kind */
    public array $dated;

    /** @var array<string, int> their numbers, by what they say */
    private array $numbers;

    public function __construct(Outline $outline)
    {
        $labels = $instants = [];
        $done = str_repeat(Mask::OUT, $outline->count());
        foreach ($outline->items as $item) {
            foreach ($item->only === null ? [] : ConditionLeaves::of($item->only) as $leaf) {
                if ($leaf instanceof HasLabel) {
                    $labels[$leaf->label] = true;
                } elseif ($leaf instanceof FromInstant || $leaf instanceof UntilInstant) {
                    $instants[$leaf->at] = true;
                } elseif ($leaf instanceof IsDone) {
                    $ends = $outline->items[$leaf->item]->kind === Kind::Module ? $outline->end[$leaf->item] : $leaf->item + 1;
                    for ($at = $leaf->item; $at < $ends; $at++) {
                        $done[$at] = Mask::IN;
                    }
                }
            }
        }
        ksort($instants);
        $this->labels = $labels;
        $this->instants = array_keys($instants);
        $this->done = $done;
        $this->whatIsDone = str_contains($done, Mask::IN);
        $conditions = self::once($outline);
        $this->numbers = array_flip(array_keys($conditions));
        $this->conditions = array_values($conditions);
        $this->none = $conditions === [];
        $undated = $dated = [];
        foreach ($this->conditions as $number => $condition) {
            // Which of a module's lessons count is asked of all labels.
            $kind = ($condition->onDone ? self::ON_DONE : 0) | ($condition->labels !== [] || $condition->asksMore ? self::ON_LABELS : 0);
            if ($condition->onDates) {
                $dated[self::ON_DATES | $kind][] = $number;
            } else {
                $undated[$kind][] = $number;
            }
        }
        [$this->undated, $this->dated] = [$undated, $dated];
    }

    /** @param  Condition  $condition  of an item of the course */
    public function numberOf(Condition $condition): int
    {
        return $this->numbers[serialize($condition)];
    }

    /** @return array<string, AskedCondition> by what they say */
    private static function once(Outline $outline): array
    {
        $all = str_repeat(Mask::IN, $outline->count());
        /** @var array<string, array{Condition, string}> $once */
        $once = [];
        foreach ($outline->items as $at => $item) {
            if ($item->only !== null) {
                $told = serialize($item->only);
                $once[$told] ??= [$item->only, $all];
                for ($inside = $at; $inside < $outline->end[$at]; $inside++) {
                    $once[$told][1][$inside] = Mask::OUT;
                }
            }
        }

        return array_map(static fn (array $of): AskedCondition => new AskedCondition($outline, ...$of), $once);
    }

    /** Which stretch between the dates in conditions an instant lies in. */
    public function stretch(int $at): int
    {
        $stretch = 0;
        foreach ($this->instants as $instant) {
            if ($instant > $at) {
                break;
            }
            $stretch++;
        }

        return $stretch;
    }
}
