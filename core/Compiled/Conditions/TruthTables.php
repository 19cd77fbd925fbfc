<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Conditions;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Rules\Condition;
use SilentKeep\Core\Rules\ConditionFacts;

/**
 * The conditions of a course for one kind of viewer, or the holders of one offer: each is read once for each of its cases, and looked up
 * from then on.
 */
final class TruthTables
{
    /** @var array<int, string> a byte a case, by condition */
    private array $tables = [];

    /**
     * @param  string  $name  another for each of a course
     * @param  list<AskedCondition>  $conditions
     * @param  \Closure(Condition, ConditionFacts): bool  $letsIn
     * @param  \Closure(list<string>, array<int, true>, int): ConditionFacts  $facts  of somebody who has these labels and has done that, at an instant
     */
    public function __construct(public readonly string $name, private readonly array $conditions, private readonly \Closure $letsIn, private readonly \Closure $facts, private readonly string $all)
    {
    }

    /**
     * Where all conditions of a kind let in that stand on the path, none of which asks what is done.
     *
     * @param  list<int>  $conditions  by number
     * @param  list<string>  $held  labels
     */
    public function letIn(array $conditions, array $held, int $at): string
    {
        $in = $this->all;
        foreach ($conditions as $number) {
            if (! $this->lets($number, $held, '', [], $at)) {
                $in &= $this->conditions[$number]->without;
            }
        }

        return $in;
    }

    /**
     * The same of conditions that ask what is done.
     *
     * @param  list<int>  $conditions  by number
     * @param  list<string>  $held  labels
     */
    public function byDone(array $conditions, array $held, int $at): AudienceByDone
    {
        $byDone = new AudienceByDone($this->all, fn (int $number, string $done, array $positions): bool => $this->lets($number, $held, $done, $positions, $at));
        $nothing = $this->all ^ $this->all;
        foreach ($conditions as $number) {
            $condition = $this->conditions[$number];
            if ($condition->asksMore || count($condition->lessons) > 1) {
                $byDone->ask($number, $condition->without);
            } else {
                $byDone->add($condition->lessons[0], $condition->without, $this->lets($number, $held, $this->all, [], $at), $this->lets($number, $held, $nothing, [], $at));
            }
        }

        return $byDone;
    }

    /**
     * Whether one condition lets in.
     *
     * @param  list<string>  $held  labels
     * @param  string  $done  mask, of conditions that ask for it
     * @param  array<int, true>  $positions  the same as positions, of conditions that ask for more
     */
    public function lets(int $number, array $held, string $done, array $positions, int $at): bool
    {
        $condition = $this->conditions[$number];
        if ($condition->asksMore) {
            return ($this->letsIn)($condition->condition, ($this->facts)($held, $positions, $at));
        }
        $table = $this->tables[$number] ??= $this->table($condition);

        return $table[$condition->caseOf($held, $done, $at)] === Mask::IN;
    }

    private function table(AskedCondition $condition): string
    {
        $table = '';
        for ($case = 0, $cases = $condition->cases(); $case < $cases; $case++) {
            $table .= ($this->letsIn)($condition->condition, ($this->facts)(...$condition->somebody($case))) ? Mask::IN : Mask::OUT;
        }

        return $table;
    }
}
