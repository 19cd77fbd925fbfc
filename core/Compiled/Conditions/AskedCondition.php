<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Conditions;

use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\Condition;
use SilentKeep\Core\Rules\ConditionLeaves;
use SilentKeep\Core\Rules\FromInstant;
use SilentKeep\Core\Rules\HasLabel;
use SilentKeep\Core\Rules\IsDone;
use SilentKeep\Core\Rules\UntilInstant;

/**
 * A condition with the few questions on which it turns for one kind of viewer: which of its labels they have, which of its lessons are
 * done, on which side of its date they stand. A *case* is a number with a bit for each, labels lowest, then lessons, the date last.
 */
final readonly class AskedCondition
{
    /** More questions have too many cases to read it for each. */
    private const MOST_ASKED = 5;

    /** @var list<string> */
    public array $labels;

    /** @var list<int> positions of lessons and parts */
    public array $lessons;

    /** Before it, or from it on; null: it asks about no date. */
    public ?int $instant;

    /** Whether it asks about more than a few: about a module, several dates, or too much. */
    public bool $asksMore;

    public bool $onDates;

    public bool $onDone;

    /** @param  string  $without  mask of what is left where it does not let in */
    public function __construct(Outline $outline, public Condition $condition, public string $without)
    {
        $labels = $lessons = $instants = [];
        $modules = false;
        foreach (ConditionLeaves::of($condition) as $leaf) {
            if ($leaf instanceof HasLabel) {
                $labels[$leaf->label] = $leaf->label;
            } elseif ($leaf instanceof IsDone) {
                $lessons[$leaf->item] = $leaf->item;
                $modules = $modules || $outline->items[$leaf->item]->kind === Kind::Module;
            } elseif ($leaf instanceof FromInstant || $leaf instanceof UntilInstant) {
                $instants[$leaf->at] = $leaf->at;
            }
        }
        $this->labels = array_values($labels);
        $this->lessons = array_values($lessons);
        $this->instant = $instants === [] ? null : reset($instants);
        $this->onDates = $instants !== [];
        $this->onDone = $lessons !== [];
        $this->asksMore = $modules || count($instants) > 1 || count($labels) + count($lessons) + count($instants) > self::MOST_ASKED;
    }

    public function cases(): int
    {
        return 1 << count($this->labels) + count($this->lessons) + (int) $this->onDates;
    }

    /**
     * @param  list<string>  $held  labels
     * @param  string  $done  mask
     */
    public function caseOf(array $held, string $done, int $at): int
    {
        $case = $bit = 0;
        foreach ($this->labels as $label) {
            $case |= (int) in_array($label, $held, true) << $bit++;
        }
        foreach ($this->lessons as $lesson) {
            $case |= ord($done[$lesson]) << $bit++;
        }

        return $this->instant === null ? $case : $case | (int) ($at >= $this->instant) << $bit;
    }

    /** @return array{list<string>, array<int, true>, int} labels, what is done, and an instant, of somebody whose case it is */
    public function somebody(int $case): array
    {
        $held = $done = [];
        $bit = 0;
        foreach ($this->labels as $label) {
            if (($case >> $bit++ & 1) === 1) {
                $held[] = $label;
            }
        }
        foreach ($this->lessons as $lesson) {
            if (($case >> $bit++ & 1) === 1) {
                $done[$lesson] = true;
            }
        }

        return [$held, $done, $this->instant === null ? 0 : $this->instant - 1 + ($case >> $bit & 1)];
    }
}
