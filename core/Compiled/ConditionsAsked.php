<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\Condition;
use SilentKeep\Core\Rules\ConditionFacts;
use SilentKeep\Core\Rules\ConditionLeaves;
use SilentKeep\Core\Rules\FromInstant;
use SilentKeep\Core\Rules\HasLabel;
use SilentKeep\Core\Rules\IsDone;
use SilentKeep\Core\Rules\Truth;
use SilentKeep\Core\Rules\UntilInstant;

/** What the conditions of a course ask about: on what else they do not depend. */
final readonly class ConditionsAsked
{
    /** All conditions depend on the pass and on labels. This bit of a kind: on dates too. */
    public const ON_DATES = 1;

    /** On what is done too: another answer for almost everybody. */
    public const ON_DONE = 2;

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

    /** @var list<int> of the kinds of conditions below those that there are */
    public array $kinds;

    /** @var array<int, list<array{Condition, list<int>}>> by kind each condition once, with all on whose path it stands */
    private array $on;

    private string $all;

    public function __construct(Outline $outline)
    {
        $this->all = str_repeat(Mask::IN, $outline->count());
        $this->on = self::standing($outline);
        $this->kinds = array_keys($this->on);
        $labels = $instants = [];
        $done = str_repeat(Mask::OUT, $outline->count());
        $none = true;
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
            $none = $none && $item->only === null;
        }
        ksort($instants);
        $this->none = $none;
        $this->labels = $labels;
        $this->instants = array_keys($instants);
        $this->done = $done;
        $this->whatIsDone = str_contains($done, Mask::IN);
    }

    /** @return array<int, list<array{Condition, list<int>}>> by kind */
    private static function standing(Outline $outline): array
    {
        $on = [];
        foreach ($outline->items as $at => $item) {
            if ($item->only !== null) {
                $kind = self::kindOf($item->only);
                $told = serialize($item->only);
                $on[$kind][$told] ??= [$item->only, []];
                for ($inside = $at; $inside < $outline->end[$at]; $inside++) {
                    $on[$kind][$told][1][] = $inside;
                }
            }
        }

        return array_map(array_values(...), $on);
    }

    private static function kindOf(Condition $condition): int
    {
        $kind = 0;
        foreach (ConditionLeaves::of($condition) as $leaf) {
            $kind |= match (true) {
                $leaf instanceof IsDone => self::ON_DONE,
                $leaf instanceof FromInstant, $leaf instanceof UntilInstant => self::ON_DATES,
                default => 0,
            };
        }

        return $kind;
    }

    /** Where every condition of a kind holds that stands on the path. */
    public function holding(int $kind, ConditionFacts $facts): string
    {
        $holding = $this->all;
        foreach ($this->on[$kind] ?? [] as [$condition, $items]) {
            if ($condition->read($facts) !== Truth::Yes) {
                foreach ($items as $item) {
                    $holding[$item] = Mask::OUT;
                }
            }
        }

        return $holding;
    }

    /** Where no condition of a kind that stands on the path has come out false. */
    public function notSettledAgainst(int $kind, ConditionFacts $facts): string
    {
        $possible = $this->all;
        foreach ($this->on[$kind] ?? [] as [$condition, $items]) {
            if ($condition->read($facts) === Truth::No) {
                foreach ($items as $item) {
                    $possible[$item] = Mask::OUT;
                }
            }
        }

        return $possible;
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
